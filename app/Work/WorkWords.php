<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Parts\PartType;
use Illuminate\Support\Str;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Target;

/** Puts pieces of work into words for paper, tables and calendars, as the client does on the screen. */
final readonly class WorkWords
{
    public function __construct(private QuantityPrinter $printer)
    {
    }

    /** Where and what, as "Row 3: opener blade left, opener blade right". */
    public static function piece(PlannedWork $of): string
    {
        if ($of->piece->own !== null) {
            return self::row($of->piece->row).': '.$of->title;
        }
        if ($of->piece->jobs === []) {
            return __('work.safe');
        }

        return self::row($of->piece->row).': '.implode(', ', array_map(self::job(...), $of->piece->jobs));
    }

    public static function row(int $row): string
    {
        return $row === 0 ? __('work.whole_planter') : __('work.row', ['row' => $row]);
    }

    public static function job(Job $job): string
    {
        $what = $job->action === Action::Change ? __("slot.{$job->what->value}") : __("action.{$job->action->value}").': '.mb_strtolower(__("check.{$job->what->value}"));

        return trim("{$what} ".self::side($job->side));
    }

    /** What is ticked on a card, by its key. */
    public static function target(string $key): string
    {
        $target = Target::tryFrom($key);
        $said = match (true) {
            $target === null => '',
            $target->isOff() => __("step.{$target->what}"),
            $target->isOwn() => __('work.own'),
            $target->isLubrication() => Str::isUuid($target->what) ? __('lube.own') : __("lube.{$target->what}"),
            $target->action === Action::Change->value => __("slot.{$target->what}"),
            default => __("action.{$target->action}").': '.mb_strtolower(__("check.{$target->what}")),
        };

        return trim($said.' '.($target === null ? '' : self::side($target->side)));
    }

    /** A job with how far to turn, where it is no change of a part. */
    public function jobInFull(Job $job, ?Proposal $asked): string
    {
        if ($job->action === Action::Change || $asked === null) {
            return self::job($job);
        }

        return self::job($job).'. '.__("why.{$asked->why->value}", ['to' => $this->figure($asked->to), 'by' => $this->figure($asked->by)]);
    }

    public static function part(SlotPlace $place, ?PartType $type): string
    {
        return trim(($type === null ? __("slot.{$place->slot->value}") : trim("{$type->name} {$type->own_number}")).' '.self::side($place->side));
    }

    public static function side(Side $side): string
    {
        return $side === Side::Centre ? '' : __("side.{$side->value}");
    }

    private function figure(?Quantity $quantity): string
    {
        return match (true) {
            $quantity === null => '',
            $quantity->unit() === Unit::Shim => (int) round($quantity->unit()->valueOf($quantity)) === 1 ? __('work.one_shim') : __('work.shims', ['count' => (int) round($quantity->unit()->valueOf($quantity))]),
            default => $this->printer->print($quantity),
        };
    }
}

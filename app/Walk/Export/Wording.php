<?php

declare(strict_types=1);

namespace App\Walk\Export;

use App\Walk\Board\CurrentReading;
use Illuminate\Support\Facades\Lang;
use Ustrel\Core\Measure\DateStyle;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Result;

/** Puts readings into words for print and files, as the client does on the screen. */
final readonly class Wording
{
    public function __construct(private QuantityPrinter $printer, private DateStyle $dates)
    {
    }

    /**
     * What was read, in a word or a figure.
     *
     * @param  Unit|null  $unit  of the check as the row has it: rows may count it otherwise than most
     */
    public function answer(?Answer $answer, ?Unit $unit = null): string
    {
        return match (true) {
            $answer === null => '',
            $answer->quantity !== null => $this->printer->print($unit?->quantity($answer->quantity->steps()) ?? $answer->quantity),
            default => __("state.{$answer->state?->value}"),
        };
    }

    public function reading(CurrentReading $reading, ?Unit $unit = null): string
    {
        $hasAnswer = $reading->result === Result::Recorded || ($reading->result === Result::Fitted && $reading->answer() !== null);

        return $hasAnswer ? $this->answer($reading->answer(), $unit) : __("result.{$reading->result->value}");
    }

    /** The check with its side, as "Opener blade diameter, left". */
    public function check(CheckKey $check, Side $side): string
    {
        return __("check.{$check->value}").($side === Side::Centre ? '' : ', '.__("side.{$side->value}"));
    }

    /** @param  Unit|null  $unit  of the check as the row has it */
    public function reasons(CheckKey $check, CurrentReading $reading, ?Unit $unit = null): string
    {
        return implode(' ', array_map(fn (array $reason): string => $this->reason($check, $reason, $reading->quantity(), $unit), $reading->reasons()));
    }

    /** @param  list<Chip>  $chips */
    public function chips(array $chips): string
    {
        return implode(', ', array_map(static fn (Chip $chip): string => __("chip.{$chip->value}"), $chips));
    }

    /** @param  array{code: string, ref: float|int|null, unit: string|null, on?: string}  $reason */
    private function reason(CheckKey $check, array $reason, ?Quantity $value, ?Unit $unit): string
    {
        $reference = $reason['ref'] === null ? null : Unit::from((string) $reason['unit'])->quantityOf($reason['ref']);
        // What is held against the figure is counted as the figure is.
        if ($unit !== null && $value !== null && $value->unit() === $reference?->unit()) {
            [$reference, $value] = [$unit->quantity($reference->steps()), $unit->quantity($value->steps())];
        }

        if (str_starts_with($reason['code'], 'chip.')) {
            return ucfirst(__($reason['code'])).'.';
        }

        return __(self::key($check, $reason['code']), [
            'on' => isset($reason['on']) ? $this->dates->full(Day::of($reason['on'])) : '',
            'ref' => $reference === null ? '' : $this->printer->print($reference),
            'by' => $reference === null || $value === null || $value->unit() !== $reference->unit() ? '' : $this->printer->difference($value, $reference),
        ]);
    }

    /** A check may have words of its own for a reason. */
    private static function key(CheckKey $check, string $code): string
    {
        $own = "reason.{$code}.{$check->value}";

        return Lang::has($own) ? $own : "reason.{$code}";
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\User;
use App\Parts\BrokenFitRule;
use App\Parts\FitRulesHeld;
use App\Parts\LedgerEvents;
use App\Parts\RecordEvents;
use App\Record\Affected;
use App\Record\Kind;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

/** Part changes of past seasons. */
final readonly class ChangeLines implements Lines
{
    private LedgerEvents $events;

    /** @var array<string, int> ids of part types, by name and by own number in small letters */
    private array $types;

    public function __construct(
        private Planter $planter,
        private User $by,
        private LineIds $ids,
        private Affected $affected,
    ) {
        $this->events = new LedgerEvents($planter, $by->units);
        $types = PartType::query()->where('workshop_id', $planter->workshop_id)->get();
        $this->types = $types->whereNotNull('own_number')->mapWithKeys(static fn (PartType $type): array => [mb_strtolower((string) $type->own_number) => $type->id])->all()
            + $types->mapWithKeys(static fn (PartType $type): array => [mb_strtolower($type->name) => $type->id])->all();
    }

    public function read(LineFields $line): ReadLine
    {
        $day = $line->day('date') ?? $line->needed('date');
        $removed = $line->day('removed');
        $slot = self::slot($line);
        $part = $line->text('part');
        $row = $line->wholeNumber('row');
        $item = [
            'kind' => 'fitted',
            'happened_at' => "{$day}T12:00:00Z",
            'row' => $row,
            'slot' => $slot->value,
            'side' => $this->side($line, $slot, $row)->value,
            'part_type_id' => $part === null ? null : $this->types[mb_strtolower($part)] ?? throw RefusedLine::because('unknown_part', ['text' => $part]),
            'size' => $line->text('size'),
            'reason' => self::reason($line),
            'cost' => $line->number('cost'),
            'note' => $line->text('note') ?? '',
        ];
        if (mb_strlen($item['note']) > 1000) {
            throw RefusedLine::because('long_note', ['letters' => number_format(mb_strlen($item['note']))]);
        }
        if ($removed !== null && $removed <= $day) {
            throw RefusedLine::because('removed_before_fitted', ['day' => $day, 'removed' => $removed]);
        }
        [$id, $former] = $this->ids->of(json_encode([$item, $removed], JSON_THROW_ON_ERROR));
        $zone = $this->planter->workshop->zone();
        $items = [['id' => $id, 'happened_at' => Day::of($day)->noon($zone)->toIso()] + $item];
        if ($removed !== null) {
            $items[] = [
                'id' => $this->ids->named("removed {$id}"), 'kind' => 'removed', 'fitting_id' => $id,
                'happened_at' => Day::of($removed)->noon($zone)->toIso(), 'reason' => $item['reason'] ?? RemovalReason::Other->value,
            ];
        }

        return new ReadLine($items, $former);
    }

    public function kind(string $into): Kind
    {
        return $this->events;
    }

    public function canBeImpossible(): bool
    {
        return true;
    }

    public function hold(): void
    {
        try {
            FitRulesHeld::hold(new WearRecord($this->planter), $this->affected);
        } catch (ImpossibleLedger $impossible) {
            throw new RefusedEvent($impossible->event, RecordEvents::worded($impossible));
        } catch (BrokenFitRule $broken) {
            throw new RefusedEvent($broken->event, $broken->getMessage());
        }
    }

    private static function slot(LineFields $line): Slot
    {
        $text = $line->needed('slot');
        foreach (Slot::cases() as $slot) {
            if (in_array(mb_strtolower(trim($text)), [$slot->value, strtr($slot->value, '_', ' '), mb_strtolower(__("slot.{$slot->value}"))], true)) {
                return $slot;
            }
        }

        throw RefusedLine::because('unknown_slot', ['text' => $text]);
    }

    private function side(LineFields $line, Slot $slot, int $row): Side
    {
        $text = mb_strtolower($line->text('side') ?? '');

        return match (true) {
            in_array($text, ['l', 'left'], true) => Side::Left,
            in_array($text, ['r', 'right'], true) => Side::Right,
            $text === '' && count($slot->sides($this->planter->units()->at($row))) > 1 => throw RefusedLine::because('no_side', ['check' => __("slot.{$slot->value}"), 'sides' => 'left, right']),
            default => Side::Centre,
        };
    }

    private static function reason(LineFields $line): ?string
    {
        $text = $line->text('reason');
        if ($text === null) {
            return null;
        }
        foreach (RemovalReason::cases() as $reason) {
            if (in_array(mb_strtolower($text), [$reason->value, strtr($reason->value, '_', ' '), mb_strtolower(__("removal.{$reason->value}"))], true)) {
                return $reason->value;
            }
        }

        throw RefusedLine::because('unknown_word', [
            'text' => $text, 'field' => __('import.field.reason'), 'known' => implode(', ', array_map(static fn (RemovalReason $reason): string => strtr($reason->value, '_', ' '), RemovalReason::cases())),
        ]);
    }
}

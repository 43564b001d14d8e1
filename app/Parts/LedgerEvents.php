<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\LedgerEvent;
use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Record\Affected;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use App\Walk\PlaceFields;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;

/** What was fitted, taken out or moved on one planter, in the light of what is on it and of the workshop's catalogue. */
#[Declared(LedgerEvent::class, item: 'ledger.events', gone: 'ledger.event_gone', when: 'ledger.date', isFlagged: false)]
final class LedgerEvents implements Kind
{
    private const MOST_COST = 100_000;

    private readonly Sheet $sheet;

    /** @var Collection<int, PartType> */
    private Collection $types;

    /** @var array<string, array<string, mixed>> events read in this batch, by id */
    private array $read = [];

    public function __construct(
        private readonly Planter $planter,
        private readonly UnitSystem $units,
    ) {
        $this->sheet = $planter->fittedSheet();
    }

    public function takesBack(array $row): bool
    {
        return $row['kind'] === LedgerEventKind::Withdrawn->value;
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $kind = $fields->oneOf('kind', LedgerEventKind::class, 'ledger.kind') ?? throw Refused::because('kind', 'ledger.kind');
        if ($this->planter->workshop->today()->isBefore($envelope->at()->day($this->planter->workshop->zone()))) {
            throw Refused::because('happened_at', 'ledger.date');
        }
        $cost = $fields->number('cost', 'ledger.cost');
        if ($cost !== null && ($cost < 0 || $cost > self::MOST_COST)) {
            throw Refused::because('cost', 'ledger.cost');
        }
        $row = [
            'kind' => $kind->value,
            'reason' => $fields->oneOf('reason', RemovalReason::class, 'ledger.field')?->value,
            'shims' => $fields->whole('shims', 0, 20, 'ledger.shims'),
            'cost' => $cost === null ? null : number_format($cost, 2, '.', ''),
            'note' => $fields->text('note', 1000, 'refused.note_length'),
            'part_id' => null, 'part_type_id' => null, 'used' => false, 'size' => null, 'size_typed' => null, 'ran_before_m' => '0.0',
            'fitting_id' => null, 'pairs' => null, 'contact_before' => null,
        ];
        $read = match ($kind) {
            LedgerEventKind::Fitted => $this->fitted($fields, $envelope) + $row,
            LedgerEventKind::Removed => $this->removed($fields) + $row,
            LedgerEventKind::ShimsMoved => $this->shimsMoved($fields) + $row,
            LedgerEventKind::Withdrawn => $this->withdrawn($envelope) + $row,
        };
        // In one order of columns, whatever the kind.
        ksort($read);
        $this->read[$envelope->id] = $read;

        return $read;
    }

    public function affect(array $rows, array $superseded, Affected $affected): void
    {
        foreach ([...$rows, ...$superseded] as $row) {
            $affected->parts($row['row_number'], Slot::from($row['slot']), $row['part_id'], self::moment($row['happened_at']));
        }
        foreach ($superseded as $row) {
            $affected->superseded[$row['id']] = true;
        }
    }

    /** As it was written by this class, or as the database hands it out. */
    private static function moment(string $at): Moment
    {
        return Moment::ofMilliseconds(CarbonImmutable::parse($at)->getTimestampMs());
    }

    /** @return array<string, mixed> */
    private function fitted(Fields $fields, Envelope $envelope): array
    {
        $row = $this->row($fields);
        $slot = $fields->oneOf('slot', Slot::class, 'ledger.slot') ?? throw Refused::because('slot', 'ledger.slot');
        $side = $fields->oneOf('side', Side::class, 'ledger.side') ?? throw Refused::because('side', 'ledger.side');
        $check = $this->check($row, $slot, $side);
        $partId = $fields->idOr('part_id', 'ledger.unknown_part');
        $part = $partId === null ? null : $this->knownPart($partId, $slot);
        // Still of the same piece, with what it had run before, in place of the same old part.
        $corrected = $envelope->supersedes === null ? null : $this->earlier($envelope->supersedes);
        $type = $this->type($part->partTypeId ?? $fields->whole('part_type_id', 1, PHP_INT_MAX, 'ledger.unknown_type'), $slot);
        $used = $part !== null || ($fields->has('used') ? $fields->flag('used', 'ledger.field') : ($corrected['used'] ?? false));
        $size = $fields->quantity('size', Unit::Millimetre, $this->units, 'ledger.field');
        if ($size !== null && $check->wear() === null) {
            throw Refused::because('size', 'ledger.no_size', ['slot' => __("slot.{$slot->value}")]);
        }

        return [
            'row_number' => $row,
            'slot' => $slot->value,
            'side' => $side->value,
            'part_id' => $part->partId ?? $corrected['part_id'] ?? $envelope->id,
            'part_type_id' => $type?->id,
            'used' => $used,
            'size' => $size === null ? $this->usualSize($part, $used, $type, $check) : number_format(Unit::Millimetre->valueOf($size), 6, '.', ''),
            'size_typed' => $size?->asTyped(),
            'ran_before_m' => $this->ranBefore($fields, $part, $corrected),
            ...($fields->has('reason') ? [] : ['reason' => $corrected['reason'] ?? null]),
        ];
    }

    /** @return array<string, mixed> */
    private function removed(Fields $fields): array
    {
        $id = $fields->id('fitting_id', 'ledger.unknown_event');

        return ['fitting_id' => $id] + self::placeOf($this->earlier($id) ?? throw Refused::because('fitting_id', 'ledger.unknown_event'));
    }

    /** @return array<string, mixed> */
    private function withdrawn(Envelope $envelope): array
    {
        $id = $envelope->supersedes ?? throw Refused::because('supersedes', 'ledger.unknown_event');
        $earlier = $this->earlier($id) ?? throw Refused::because('supersedes', 'ledger.unknown_event');
        if (LedgerEvent::current($this->planter->id)->where('fitting_id', $id)->exists()) {
            throw Refused::because('supersedes', 'ledger.withdraw_removal_first');
        }

        return self::placeOf($earlier);
    }

    /** @return array<string, mixed> */
    private function shimsMoved(Fields $fields): array
    {
        $row = $this->row($fields);
        $this->check($row, Slot::from('opener_blade'), null);
        $before = $fields->quantity('contact_before', Unit::Millimetre, $this->units, 'ledger.field');

        return [
            'row_number' => $row,
            'slot' => 'opener_blade',
            'side' => ($fields->oneOf('side', Side::class, 'ledger.side') ?? Side::Centre)->value,
            'pairs' => $fields->whole('pairs', -10, 10, 'ledger.pairs') ?: throw Refused::because('pairs', 'ledger.pairs'),
            'contact_before' => $before === null ? null : number_format(Unit::Millimetre->valueOf($before), 6, '.', ''),
        ];
    }

    private function row(Fields $fields): int
    {
        return PlaceFields::row($fields, $this->planter->row_count)
            ?? throw Refused::because('row', $fields->has('row') ? 'ledger.no_such_row' : 'ledger.row', ['row' => $fields->said('row'), 'rows' => $this->planter->row_count]);
    }

    private function check(int $row, Slot $slot, ?Side $side): Check
    {
        $named = ['slot' => __("slot.{$slot->value}"), 'row' => $row];
        $check = $this->sheet->at($row)->check($slot->checks()[0]) ?? throw Refused::because('slot', $this->sheet->check($slot->checks()[0]) === null ? 'ledger.not_on_planter' : 'ledger.not_on_row', $named);

        return $side === null || $check->has($side) ? $check : throw Refused::because('side', 'ledger.no_such_side', $named);
    }

    private function knownPart(string $id, Slot $slot): FittedPart
    {
        $part = LedgerQuery::part($this->planter, $id) ?? throw Refused::because('part_id', 'ledger.unknown_part');

        return $part->slot === $slot->value ? $part : throw Refused::because('part_id', 'ledger.other_slot', ['slot' => __("slot.{$part->slot}")]);
    }

    private function type(?int $id, Slot $slot): ?PartType
    {
        if ($id === null) {
            return null;
        }
        $this->types ??= PartType::query()->where('workshop_id', $this->planter->workshop_id)->get()->keyBy('id');
        $type = $this->types->get($id) ?? throw Refused::because('part_type_id', 'ledger.unknown_type');

        return in_array($slot->value, $type->slots, true)
            ? $type
            : throw Refused::because('part_type_id', 'ledger.does_not_fit', ['part' => $type->name, 'slot' => __("slot.{$slot->value}")]);
    }

    /** A new part has the size of its type; one that was moved, the size that it read last. */
    private function usualSize(?FittedPart $part, bool $used, ?PartType $type, Check $check): ?string
    {
        if ($part !== null) {
            return Cell::query()
                ->where(['planter_id' => $this->planter->id, 'row_number' => $part->row, 'check_key' => $check->key->value, 'side' => $part->side])
                ->where('taken_at', '>=', $part->fittedAt)
                ->whereNotNull('value')
                ->orderByDesc('taken_at')
                ->toBase()
                ->value('value') ?? $part->size;
        }
        if ($used || $check->wear() === null) {
            return null;
        }
        $new = $check->wear()->new;

        return $type->new_size ?? ($new === null ? null : number_format($new, 6, '.', ''));
    }

    /** @param  array<string, mixed>|null  $corrected */
    private function ranBefore(Fields $fields, ?FittedPart $part, ?array $corrected): string
    {
        $said = $fields->quantity('ran_before', Unit::FurrowMile, $this->units, 'ledger.field');
        $metres = $said === null ? 0.0 : FurrowDistance::ofMiles(Unit::FurrowMile->valueOf($said))->metres;
        if ($part === null) {
            return $said === null && $corrected !== null ? (string) $corrected['ran_before_m'] : number_format($metres, 1, '.', '');
        }
        if ($said !== null && $metres < $part->partRan) {
            throw Refused::because('ran_before', 'ledger.use_backwards', ['ran' => round(FurrowDistance::ofMetres($part->partRan)->toMiles())]);
        }

        return $part->ranBefore;
    }

    /** @return array<string, mixed>|null an earlier event of this planter, of this batch too */
    private function earlier(string $id): ?array
    {
        if (isset($this->read[$id])) {
            return $this->read[$id];
        }
        $event = LedgerEvent::query()->where('planter_id', $this->planter->id)->where('id', $id)->toBase()->first();

        return $event === null ? null : (array) $event;
    }

    /**
     * @param  array<string, mixed>  $event
     * @return array<string, mixed>
     */
    private static function placeOf(array $event): array
    {
        return ['row_number' => $event['row_number'], 'slot' => $event['slot'], 'side' => $event['side']];
    }
}

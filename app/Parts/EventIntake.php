<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\PartType;
use App\Models\Planter;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use stdClass;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnreadableAmount;
use Ustrel\Core\Measure\UnreadableLength;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheet;

/** Turns what a device says was done into rows of the table ledger_events, in the light of the planter and its catalogue. */
final readonly class EventIntake
{
    private SpecSheet $sheet;

    /** @var Collection<int, PartType> */
    private Collection $types;

    /** @var Collection<string, stdClass> what was ever fitted on the planter, the newest by part */
    private Collection $parts;

    public function __construct(
        private Planter $planter,
        private User $by,
    ) {
        $this->sheet = $planter->readSheet();
        $this->types = PartType::query()->where('workshop_id', $planter->workshop_id)->get()->keyBy('id');
        $this->parts = LedgerQuery::fittings($planter)->get()->reverse()->keyBy('part_id');
    }

    /**
     * @param  array<string, mixed>  $item  validated
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    public function row(int $index, array $item): array
    {
        $row = [
            'id' => strtolower($item['id']),
            'planter_id' => $this->planter->id,
            'kind' => $item['kind'],
            'happened_at' => CarbonImmutable::parse($item['happened_at'])->utc()->format('Y-m-d H:i:s.vP'),
            'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
            'user_id' => $this->by->id,
            'supersedes' => isset($item['supersedes']) ? strtolower($item['supersedes']) : null,
            'reason' => $item['reason'] ?? null,
            'shims' => $item['shims'] ?? null,
            'cost' => isset($item['cost']) ? number_format((float) $item['cost'], 2, '.', '') : null,
            'note' => trim($item['note'] ?? ''),
            'part_id' => null, 'part_type_id' => null, 'used' => false, 'size' => null, 'size_typed' => null, 'ran_before_m' => '0.0',
            'fitting_id' => null, 'pairs' => null, 'contact_before' => null,
        ];

        return match ($item['kind']) {
            'fitted' => $this->fitted($index, $item) + $row,
            'removed' => $this->of($index, 'fitting_id', $item['fitting_id']) + ['fitting_id' => strtolower($item['fitting_id'])] + $row,
            'shims_moved' => $this->shimsMoved($index, $item) + $row,
            default => $this->of($index, 'supersedes', $item['supersedes']) + $row,
        };
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array<string, mixed>
     */
    private function fitted(int $index, array $item): array
    {
        $slot = Slot::from($item['slot']);
        $check = $this->place($index, $item['row'], $slot, Side::from($item['side']));
        $part = isset($item['part_id']) ? $this->knownPart($index, strtolower($item['part_id']), $slot) : null;
        $corrected = $this->corrected($item);
        $type = $this->type($index, $part->part_type_id ?? $item['part_type_id'] ?? null, $slot);
        $used = $part !== null || (bool) ($item['used'] ?? $corrected->used ?? false);
        $size = isset($item['size']) ? $this->quantity($index, 'size', $item['size'], Unit::Millimetre) : null;
        if ($size !== null && $check->wear() === null) {
            throw self::refused($index, 'size', 'no_size', ['slot' => __("slot.{$slot->value}")]);
        }

        return [
            'row_number' => $item['row'],
            'slot' => $slot->value,
            'side' => $item['side'],
            'part_id' => $part->part_id ?? $corrected->part_id ?? strtolower($item['id']),
            'part_type_id' => $type?->id,
            'used' => $used,
            'size' => $size === null ? $this->usualSize($part, $used, $type, $check) : number_format(Unit::Millimetre->valueOf($size), 6, '.', ''),
            'size_typed' => $size?->asTyped(),
            'ran_before_m' => $this->ranBefore($index, $item, $part, $corrected),
            'reason' => $item['reason'] ?? $corrected->reason ?? null,
        ];
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array<string, mixed>
     */
    private function shimsMoved(int $index, array $item): array
    {
        $this->place($index, $item['row'], Slot::OpenerBlade, null);
        $before = isset($item['contact_before']) ? $this->quantity($index, 'contact_before', $item['contact_before'], Unit::Millimetre) : null;

        return [
            'row_number' => $item['row'],
            'slot' => Slot::OpenerBlade->value,
            'side' => Side::Centre->value,
            'pairs' => $item['pairs'],
            'contact_before' => $before === null ? null : number_format(Unit::Millimetre->valueOf($before), 6, '.', ''),
        ];
    }

    private function place(int $index, int $row, Slot $slot, ?Side $side): Check
    {
        $check = $this->sheet->check($slot->checks()[0]);
        if ($row > $this->planter->row_count) {
            throw self::refused($index, 'row', 'no_such_row', ['row' => $row, 'rows' => $this->planter->row_count]);
        }
        if ($check === null) {
            throw self::refused($index, 'slot', 'not_on_planter', ['slot' => __("slot.{$slot->value}")]);
        }
        if ($side !== null && ! $check->has($side)) {
            throw self::refused($index, 'side', 'no_such_side', ['slot' => __("slot.{$slot->value}")]);
        }

        return $check;
    }

    private function knownPart(int $index, string $id, Slot $slot): stdClass
    {
        $part = $this->parts->get($id) ?? throw self::refused($index, 'part_id', 'unknown_part');
        if ($part->slot !== $slot->value) {
            throw self::refused($index, 'part_id', 'other_slot', ['slot' => __("slot.{$part->slot}")]);
        }

        return $part;
    }

    /**
     * The fitting that is corrected: still of the same piece, with what it had run before, in place of the same old part.
     *
     * @param  array<string, mixed>  $item
     */
    private function corrected(array $item): ?stdClass
    {
        return isset($item['supersedes'])
            ? DB::table('ledger_events')->where('planter_id', $this->planter->id)->where('id', strtolower($item['supersedes']))->where('kind', 'fitted')->first()
            : null;
    }

    private function type(int $index, ?int $id, Slot $slot): ?PartType
    {
        if ($id === null) {
            return null;
        }
        $type = $this->types->get($id) ?? throw self::refused($index, 'part_type_id', 'unknown_type');
        if (! in_array($slot->value, $type->slots, true)) {
            throw self::refused($index, 'part_type_id', 'does_not_fit', ['part' => $type->name, 'slot' => __("slot.{$slot->value}")]);
        }

        return $type;
    }

    /** A new part has the size of its type; one that was moved, the size that it read last. */
    private function usualSize(?stdClass $part, bool $used, ?PartType $type, Check $check): ?string
    {
        if ($part !== null) {
            return DB::table('cells')
                ->where(['planter_id' => $this->planter->id, 'row_number' => $part->row_number, 'check_key' => $check->key->value, 'side' => $part->side])
                ->where('taken_at', '>=', $part->fitted_at)
                ->whereNotNull('value')
                ->orderByDesc('taken_at')
                ->value('value') ?? $part->size;
        }
        if ($used || $check->wear() === null) {
            return null;
        }
        $new = $check->wear()->new;

        return $type->new_size ?? ($new === null ? null : number_format($new, 6, '.', ''));
    }

    /** @param  array<string, mixed>  $item */
    private function ranBefore(int $index, array $item, ?stdClass $part, ?stdClass $corrected): string
    {
        $said = isset($item['ran_before']) ? $this->quantity($index, 'ran_before', $item['ran_before'], Unit::FurrowMile) : null;
        $metres = $said === null ? 0.0 : FurrowDistance::ofMiles(Unit::FurrowMile->valueOf($said))->metres;
        if ($part === null) {
            return $said === null && $corrected !== null ? (string) $corrected->ran_before_m : number_format($metres, 1, '.', '');
        }
        if ($said !== null && $metres < (float) $part->part_ran_m) {
            throw self::refused($index, 'ran_before', 'use_backwards', ['ran' => round(FurrowDistance::ofMetres($part->part_ran_m)->toMiles())]);
        }

        return (string) $part->ran_before_m;
    }

    private function quantity(int $index, string $field, string $typed, Unit $unit): Quantity
    {
        try {
            return $unit->read($typed, $this->by->units);
        } catch (UnreadableLength|UnreadableAmount $unreadable) {
            throw ValidationException::withMessages(["events.{$index}.{$field}" => __($unreadable->wordKey(), ['typed' => $unreadable->typed()])]);
        }
    }

    /** @return array<string, mixed> the place of an earlier event of this planter */
    private function of(int $index, string $field, string $id): array
    {
        $earlier = DB::table('ledger_events')->where('planter_id', $this->planter->id)->where('id', strtolower($id))->first()
            ?? throw self::refused($index, $field, 'unknown_event');

        return ['row_number' => $earlier->row_number, 'slot' => $earlier->slot, 'side' => $earlier->side];
    }

    /** @param  array<string, string|int|float>  $with */
    private static function refused(int $index, string $field, string $code, array $with = []): ValidationException
    {
        return ValidationException::withMessages(["events.{$index}.{$field}" => __("ledger.{$code}", $with)]);
    }
}

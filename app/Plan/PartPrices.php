<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Parts\Fitting;
use App\Models\Parts\PartType;
use App\Models\Planter;
use Illuminate\Support\Collection;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Spec\Equipment;

/**
 * What would go into each slot of a planter: a part like the one that is in, or else the shop's only type that fits there.
 * Nobody guesses among several.
 */
final readonly class PartPrices
{
    /**
     * @param  array<string, PartType>  $types  by SlotPlace key
     */
    private function __construct(public array $types)
    {
    }

    public static function of(Planter $planter): self
    {
        $types = PartType::query()->where('workshop_id', $planter->workshop_id)->orderBy('id')->get()->keyBy('id');
        $fitted = Fitting::query()->where('planter_id', $planter->id)->whereNull('removed_at')->whereNotNull('part_type_id')->toBase()->get(['row_number', 'slot', 'side', 'part_type_id']);
        $found = [];
        foreach ($fitted as $row) {
            $found["{$row->row_number}:{$row->slot}:{$row->side}"] = $types[$row->part_type_id];
        }
        foreach ($planter->units()->kinds() as [$equipment, $rows]) {
            $only = self::onlyOnes($types->filter(static fn (PartType $type): bool => self::goesWith($type, $equipment)));
            foreach (array_filter(Slot::cases(), static fn (Slot $slot): bool => isset($only[$slot->value]) && $slot->isOn($equipment)) as $slot) {
                foreach ($rows as $row) {
                    foreach ($slot->sides($equipment) as $side) {
                        $found[(new SlotPlace($row, $slot, $side))->key()] ??= $only[$slot->value];
                    }
                }
            }
        }

        return new self(array_filter($found));
    }

    /** Blades and guards of the kind that the planter carries. */
    private static function goesWith(PartType $type, Equipment $equipment): bool
    {
        return match ($type->slots) {
            ['opener_blade'] => $type->heavy === $equipment->has('heavy_blades'),
            ['seed_tube_guard'] => $type->clearance === $equipment->has('clearance_guard'),
            default => true,
        };
    }

    /**
     * @param  Collection<int, PartType>  $types
     * @return array<string, PartType> by slot
     */
    private static function onlyOnes(Collection $types): array
    {
        $ofSlot = [];
        foreach ($types as $type) {
            foreach ($type->slots as $slot) {
                $ofSlot[$slot][] = $type;
            }
        }

        return array_map(static fn (array $of): PartType => $of[0], array_filter($ofSlot, static fn (array $of): bool => count($of) === 1));
    }

    /** @return array<string, float|null> by SlotPlace key */
    public function prices(): array
    {
        return array_map(static fn (PartType $type): ?float => $type->price === null ? null : (float) $type->price, $this->types);
    }
}

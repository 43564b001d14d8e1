<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Side;

/** Parts that wear together and are changed together: both blades of a row, blade and boot, chain and sprockets, bushings in pairs. */
final class Partners
{
    /** Slots of one side that go together. */
    private const TOGETHER = [
        [Slot::FertilizerBlade, Slot::FertilizerBoot],
        [Slot::MeterChain, Slot::Sprockets],
    ];

    /** Slots whose two sides go together. */
    private const PAIRS = [Slot::OpenerBlade, Slot::GaugeArmBushing];

    /** @return non-empty-list<SlotPlace> the place itself first */
    public static function of(SlotPlace $place, Equipment $equipment): array
    {
        $partners = [$place];
        if (in_array($place->slot, self::PAIRS, true)) {
            foreach ($place->slot->sides($equipment) as $side) {
                if ($side !== $place->side && $side !== Side::Centre) {
                    $partners[] = new SlotPlace($place->row, $place->slot, $side);
                }
            }
        }
        foreach (self::TOGETHER as $slots) {
            if (in_array($place->slot, $slots, true)) {
                foreach ($slots as $slot) {
                    if ($slot !== $place->slot && $slot->isOn($equipment)) {
                        $partners[] = new SlotPlace($place->row, $slot, $place->side);
                    }
                }
            }
        }

        return $partners;
    }
}

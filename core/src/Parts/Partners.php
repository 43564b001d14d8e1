<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Side;

/** Parts that wear together and are changed together: both blades of a row, blade and boot, chain and sprockets, bushings in pairs. */
final class Partners
{
    /** @return non-empty-list<SlotPlace> the place itself first */
    public static function of(SlotPlace $place, Equipment $equipment): array
    {
        $partners = [$place];
        if ($place->slot->isInPairs()) {
            foreach ($place->slot->sides($equipment) as $side) {
                if ($side !== $place->side && $side !== Side::Centre) {
                    $partners[] = new SlotPlace($place->row, $place->slot, $side);
                }
            }
        }
        foreach ($place->slot->together() as $slot) {
            if ($slot->isOn($equipment)) {
                $partners[] = new SlotPlace($place->row, $slot, $place->side);
            }
        }

        return $partners;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\Equipment;

/** Parts that do not go together on one row unit. Worded under `fit.<value>` in lang/en. */
enum FitRule: string
{
    /** Heavier blades with large rivets do not turn against the plain seed tube guard. */
    case HeavyBladesNeedClearanceGuard = 'heavy_blades_need_clearance_guard';

    /** @return list<self> the rules that such a blade and guard break on one row */
    public static function brokenByParts(bool $heavyBlade, bool $clearanceGuard): array
    {
        return $heavyBlade && ! $clearanceGuard ? [self::HeavyBladesNeedClearanceGuard] : [];
    }

    /** @return list<self> the rules that this equipment breaks */
    public static function brokenBy(Equipment $equipment): array
    {
        return self::brokenByParts($equipment->has('heavy_blades'), $equipment->has('clearance_guard'));
    }
}

<?php

declare(strict_types=1);

namespace App\Parts;

use App\Record\Affected;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\FitRules;

/** Parts that do not go together are not recorded together, whoever records them: at the end of no day since are they on one row. */
final class FitRulesHeld
{
    private const SLOTS = ['opener_blade', 'seed_tube_guard'];

    /** @throws BrokenFitRule */
    public static function hold(WearRecord $record, Affected $affected): void
    {
        $since = $affected->partsSince;
        if ($since === null || array_intersect(array_keys($affected->slots), self::SLOTS) === []) {
            return;
        }
        $planter = $record->planter;
        $zone = $planter->workshop->zone();
        $parts = [];
        $moments = [PHP_INT_MAX - 1 => Moment::ofMilliseconds(PHP_INT_MAX - 1)];
        foreach ($record->installed() as $part) {
            $fitting = $part->fitting;
            if ($fitting->place->slot->is(...self::SLOTS) && isset($affected->rows[$fitting->place->row])) {
                $parts[] = [$fitting, $record->kindOf($fitting)];
                if (! $fitting->from->isBefore($since)) {
                    $end = $fitting->from->day($zone)->end($zone);
                    $moments[$end->milliseconds] = $end;
                }
            }
        }
        $broken = FitRules::broken($parts, array_values($moments), $planter->loadMissing('specSheet')->units());
        if ($broken !== null) {
            throw BrokenFitRule::by(...$broken);
        }
    }
}

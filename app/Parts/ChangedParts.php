<?php

declare(strict_types=1);

namespace App\Parts;

use Illuminate\Support\Facades\DB;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;

/** Marks in the table cells what was read of a part that has been changed since: it is no "last time" any more. */
final class ChangedParts
{
    /** @param  string|null  $walkId  only the cells of this walk */
    public static function mark(int $planterId, ?string $walkId = null): void
    {
        $looksAt = [sprintf("('%s', '%s', true)", CheckKey::BladeContactLength->value, Slot::OpenerBlade->value)];
        foreach (Slot::cases() as $slot) {
            foreach ($slot->checks() as $check) {
                $looksAt[] = "('{$check->value}', '{$slot->value}', false)";
            }
        }
        $values = implode(', ', $looksAt);
        $which = $walkId === null ? 'planter_id = ?' : 'walk_id = ?';
        DB::update(<<<SQL
            UPDATE cells SET part_changed_at = changed.at
            FROM (
                SELECT cells.walk_id, cells.row_number, cells.check_key, cells.side, min(fittings.fitted_at) AS at
                FROM cells
                JOIN (VALUES {$values}) AS looks (check_key, slot, any_side) ON looks.check_key = cells.check_key
                LEFT JOIN fittings ON fittings.planter_id = cells.planter_id AND fittings.row_number = cells.row_number AND fittings.slot = looks.slot
                    AND (looks.any_side OR fittings.side = cells.side) AND fittings.fitted_at > cells.taken_at
                WHERE cells.{$which}
                GROUP BY cells.walk_id, cells.row_number, cells.check_key, cells.side
            ) AS changed
            WHERE cells.walk_id = changed.walk_id AND cells.row_number = changed.row_number AND cells.check_key = changed.check_key
                AND cells.side = changed.side AND cells.part_changed_at IS DISTINCT FROM changed.at
            SQL, [$walkId ?? $planterId]);
    }
}

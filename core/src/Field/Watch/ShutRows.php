<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** Rows that are shut off on purpose, each by what was said of it last. */
final class ShutRows
{
    /**
     * @param  iterable<array{int, WatchEntryKind}>  $said  row and what was said of it, in the order in which it happened
     * @return list<int> ascending
     */
    public static function after(iterable $said): array
    {
        $shut = [];
        foreach ($said as [$row, $kind]) {
            if ($kind === WatchEntryKind::Shut) {
                $shut[$row] = true;
            } elseif ($kind === WatchEntryKind::Opened) {
                unset($shut[$row]);
            }
        }
        ksort($shut);

        return array_keys($shut);
    }
}

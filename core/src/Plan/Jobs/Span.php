<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Spec\Side;

/** For how much of a planter a step counts once. */
enum Span: string
{
    case Planter = 'planter';
    case Row = 'row';
    /** Each side of a row; what belongs to no side needs both. */
    case Side = 'side';
    /** The side that is worked on, or the row where it has none. */
    case Place = 'place';

    /** @return non-empty-list<string> where it counts for a job on a row and side */
    public function places(int $row, Side $side): array
    {
        return match ($this) {
            self::Planter => [''],
            self::Row => ["{$row}"],
            self::Place => ["{$row} {$side->value}"],
            self::Side => $side === Side::Centre ? ["{$row} left", "{$row} right"] : ["{$row} {$side->value}"],
        };
    }
}

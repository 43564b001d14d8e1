<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Measure\Moment;

/** How a planter's levers stood at any time: by what was set on each row, or on all of them. */
final readonly class LeverLog
{
    /** @param  list<array{Moment, int, Lever, float}>  $set  when, row (0 for all), what and to what: as it was set, or found set; the earliest first */
    public function __construct(private array $set)
    {
    }

    /** @return array<value-of<Lever>, float> those that are known */
    public function stands(int $row, Moment $at): array
    {
        $stands = [];
        foreach ($this->set as [$when, $of, $lever, $to]) {
            if (! $when->isAfter($at) && ($of === $row || $of === 0)) {
                $stands[$lever->value] = $to;
            }
        }

        return $stands;
    }

    /** @return array<value-of<Lever>, float> by how much those that were known before stand otherwise; 0 for those that do not */
    public function moved(int $row, Moment $from, Moment $to): array
    {
        $before = $this->stands($row, $from);
        $moved = [];
        foreach ($this->stands($row, $to) as $lever => $stands) {
            if (isset($before[$lever])) {
                $moved[$lever] = $stands - $before[$lever];
            }
        }

        return $moved;
    }
}

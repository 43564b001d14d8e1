<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\History;

/** Shims that were moved, with the contact length measured before and after. */
final readonly class ShimMove
{
    /**
     * @param  int  $pairs  added on each side; negative for taken out. Not 0
     * @param  float  $before  millimetres
     * @param  float  $after  millimetres
     */
    public function __construct(
        public int $pairs,
        public float $before,
        public float $after,
    ) {
    }

    /**
     * The moves that were measured before and after, before the next one of the same row.
     *
     * @param  list<ShimsMoved>  $moves  oldest first
     * @return list<self>
     */
    public static function measured(array $moves, History $history): array
    {
        $measured = [];
        foreach ($moves as $index => $move) {
            $before = $move->contactBefore;
            $after = null;
            foreach ($history->sightings(new Place($move->row, CheckKey::BladeContactLength, Side::Centre)) as $sighting) {
                if ($sighting->at->isBefore($move->at)) {
                    $before = $move->contactBefore ?? $sighting->size;
                } else {
                    $after ??= $sighting;
                }
            }
            $next = array_values(array_filter(array_slice($moves, $index + 1), static fn (ShimsMoved $later): bool => $later->row === $move->row && $later->at->isAfter($move->at)))[0] ?? null;
            if ($before !== null && $after !== null && ($next === null || $after->at->isBefore($next->at))) {
                $measured[] = new self($move->pairs, $before, $after->size);
            }
        }

        return $measured;
    }

    /** Whether it says anything: without contact before or after, nobody knows how far the blades stood apart. */
    public function tells(): bool
    {
        return $this->pairs !== 0 && $this->before > 0 && $this->after > 0;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Wear\Acres\Stretch;
use Ustrel\Core\Wear\Acres\UseLog;
use Ustrel\Core\Wear\History;
use Ustrel\Core\Wear\Sighting;

/** Shims that were moved alike on both sides of a row, with the contact length measured before and after. */
final readonly class ShimMove
{
    /** A row that has run further than this between the two readings has worn meanwhile. Metres. */
    private const STOOD_STILL = 1.0;

    /**
     * @param  int  $pairs  added on each side; negative for taken out. Not 0
     * @param  float  $before  millimetres
     * @param  float  $after  millimetres
     * @param  ShimsMoved|null  $event  that it is read from
     */
    public function __construct(
        public int $pairs,
        public float $before,
        public float $after,
        public ?ShimsMoved $event = null,
    ) {
    }

    /**
     * The moves that say what a pair is worth: measured before and after, with nothing planted, no blade changed and no other shims
     * moved in between.
     *
     * @param  list<ShimsMoved>  $moves  oldest first
     * @return list<self>
     */
    public static function measured(array $moves, History $history, UseLog $log): array
    {
        $measured = [];
        foreach ($moves as $move) {
            if ($move->side !== null) {
                continue;
            }
            $sightings = $history->sightings(new Place($move->row, CheckKey::from('blade_contact_length'), Side::Centre));
            $earlier = array_values(array_filter($sightings, static fn (Sighting $of): bool => $of->at->isBefore($move->at)));
            $after = array_values(array_filter($sightings, static fn (Sighting $of): bool => ! $of->at->isBefore($move->at)))[0] ?? null;
            $last = $earlier === [] ? null : $earlier[count($earlier) - 1];
            $before = $move->contactBefore ?? $last?->size;
            $since = $move->contactBefore !== null ? $move->at : $last?->at;
            if ($before === null || $since === null || $after === null) {
                continue;
            }
            $between = new Stretch($move->row, $since);
            $others = array_filter($moves, static fn (ShimsMoved $other): bool => $other !== $move && $other->row === $move->row && ! $other->at->isBefore($since) && $other->at->isBefore($after->at));
            if ($others === [] && ! $history->bladesChanged($move->row, $since, $after->at) && $between->use($log, $after->at)->metres <= self::STOOD_STILL) {
                $measured[] = new self($move->pairs, $before, $after->size, $move);
            }
        }

        return $measured;
    }

    /** Whether it says anything: without contact before or after, nobody knows how far the blades stood apart. */
    public function tells(): bool
    {
        return $this->pairs !== 0 && $this->before > 0 && $this->after > 0 && ! $this->contradicts();
    }

    /** Shims that go in make the contact shorter, always. Where it got longer, the entry or a reading is wrong. */
    public function contradicts(): bool
    {
        return $this->before > 0 && $this->after > 0 && $this->pairs * ($this->before - $this->after) <= 0;
    }
}

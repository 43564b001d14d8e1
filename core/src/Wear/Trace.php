<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Wear\Acres\RowUse;
use Ustrel\Core\Wear\Acres\Stretch;
use Ustrel\Core\Wear\Acres\UseLog;

/** One part wherever it has been, or one contact since it was last set, and the sizes that were read of it. */
final readonly class Trace
{
    /**
     * @param  string  $key  names the place that it is at now
     * @param  non-empty-list<Stretch>  $stretches  where it has been, in order
     * @param  float|null  $start  size when fitted, millimetres; null where nobody knows
     * @param  float  $ranBefore  metres that it had run elsewhere before it was fitted with that size; for the record only
     * @param  list<Sighting>  $sightings  in any order
     */
    public function __construct(
        public string $key,
        public array $stretches,
        public ?float $start,
        public float $ranBefore,
        public array $sightings,
    ) {
    }

    /** What the wear of it is reckoned from, as of a moment. */
    public function item(UseLog $log, WearPath $path, Moment $asOf): Item
    {
        $points = [];
        foreach ($this->sightings as $sighting) {
            $points[] = $path->point($sighting->id, $this->use($log, $sighting->at)->effective, $sighting->size, $sighting->step);
        }
        $use = $this->use($log, $asOf)->effective;

        return $this->start === null ? Item::found($this->key, $points, $use) : Item::fitted($this->key, $path->room($this->start), $points, $use);
    }

    /** What it has run by a moment. */
    public function use(UseLog $log, Moment $moment): RowUse
    {
        $use = new RowUse;
        foreach ($this->stretches as $stretch) {
            $use = $use->plus($stretch->use($log, $moment));
        }

        return $use;
    }
}

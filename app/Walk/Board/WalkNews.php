<?php

declare(strict_types=1);

namespace App\Walk\Board;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Walk\Place;

/** A walk as it is now, and which of its places have changed since a device last heard of it. */
final readonly class WalkNews
{
    /**
     * @param  list<string>|null  $changed  place keys; null for all
     * @param  array<string, SeasonOutlook>  $outlooks  by place key; only for a guide
     */
    public function __construct(
        public Board $board,
        private ?array $changed,
        public Moment $asOf,
        public array $outlooks = [],
    ) {
    }

    /** @return list<Place> those that changed, and all of the checks that compare rows: one reading may turn the others */
    public function places(): array
    {
        $sheet = $this->board->sheet;
        $changed = $this->changed === null ? null : array_flip($this->changed);

        return array_values(array_filter(
            $this->board->places,
            static fn (Place $place): bool => $changed === null
                || isset($changed[$place->key()])
                || ($changed !== [] && $sheet->checkAt($place)?->comparesRows() === true),
        ));
    }
}

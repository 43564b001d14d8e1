<?php

declare(strict_types=1);

namespace App\Work;

/** A piece of work of a kept plan, as a list shows it. */
final readonly class PlannedCard
{
    /** @param  list<string>  $people  by name, who leads first; none where it cannot be dated */
    public function __construct(
        public int $planterId,
        public string $key,
        /** As "Row 3: opener blade left". */
        public string $title,
        public int $minutes,
        public int $parts,
        public array $people,
        /** In minutes since today's midnight; null where it cannot be dated. */
        public ?int $start,
    ) {
    }
}

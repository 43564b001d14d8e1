<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

/** One stop in the season: when, and what is changed in it. */
final readonly class ServiceStop
{
    /** @param  list<string>  $items  by key */
    public function __construct(
        public float $acres,
        public array $items,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

/** Work that comes of no finding: what the shop adds, and what is greased. */
final readonly class OwnWork
{
    /**
     * @param  int  $minutes  1 to 6000
     * @param  bool  $blocks  planting cannot begin before it is done
     */
    public function __construct(
        public Target $target,
        public int $minutes,
        public bool $blocks,
    ) {
    }

    public function key(): string
    {
        return $this->target->key();
    }
}

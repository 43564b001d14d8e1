<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

/** Work that comes of no finding: what the shop adds, and what is greased. */
final readonly class OwnWork
{
    /**
     * @param  string  $key  as `own:3:<id>:centre` or `grease:0:hitch:centre`
     * @param  int  $row  0 for the planter as a whole
     * @param  int  $minutes  1 to 6000
     * @param  bool  $blocks  planting cannot begin before it is done
     */
    public function __construct(
        public string $key,
        public int $row,
        public int $minutes,
        public bool $blocks,
    ) {
    }
}

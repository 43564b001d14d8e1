<?php

declare(strict_types=1);

namespace App\Parts;

use Ustrel\Core\Parts\Life\Life;

/** The lives of the parts of one type. */
final readonly class PartLives
{
    /** @param  list<Life>  $lives  in furrow metres */
    public function __construct(
        public array $lives,
        /** Parts of which it is not known how far they had run. */
        public int $leftOut,
    ) {
    }
}

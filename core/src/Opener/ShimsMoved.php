<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Measure\Moment;

/** Inner shims that were added to or taken out of both sides of a row: its contact is set anew. */
final readonly class ShimsMoved
{
    /**
     * @param  string  $id  of the event
     * @param  int  $pairs  added on each side; negative for taken out
     * @param  float|null  $contactBefore  millimetres, as measured for the move; null where nobody did
     */
    public function __construct(
        public string $id,
        public int $row,
        public int $pairs,
        public Moment $at,
        public ?float $contactBefore = null,
    ) {
    }
}

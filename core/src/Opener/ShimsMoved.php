<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Side;

/** Inner shims that were added to or taken out of a row, on both sides or to level its packs on one: its contact is set anew. */
final readonly class ShimsMoved
{
    /**
     * @param  string  $id  of the event
     * @param  int  $pairs  added on each side, or on the one; negative for taken out
     * @param  float|null  $contactBefore  millimetres, as measured for the move; null where nobody did
     * @param  Side|null  $side  null for both
     */
    public function __construct(
        public string $id,
        public int $row,
        public int $pairs,
        public Moment $at,
        public ?float $contactBefore = null,
        public ?Side $side = null,
    ) {
    }
}

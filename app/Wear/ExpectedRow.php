<?php

declare(strict_types=1);

namespace App\Wear;

use Ustrel\Core\Spec\Judging\Verdict;

/** What a walk is expected to find on a row, as far as what wears there is concerned. */
final readonly class ExpectedRow
{
    public function __construct(
        public Verdict $verdict,
        /** 0 to 1, of the worst part; null where it is out of sight. */
        public ?float $lifeLeft,
    ) {
    }
}

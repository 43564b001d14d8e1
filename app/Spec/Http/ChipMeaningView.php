<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\Verdict;

final readonly class ChipMeaningView extends Schema
{
    public function __construct(
        public Chip $chip,
        public Verdict $verdict,
    ) {
    }
}

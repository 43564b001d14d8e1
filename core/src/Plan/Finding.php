<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;

/** What a walk has found at one place and is not sound. */
final readonly class Finding
{
    /** @param  list<Reason>  $reasons  the weightiest first */
    public function __construct(
        public Place $place,
        public Check $check,
        public Verdict $verdict,
        public array $reasons,
        public ?Answer $answer,
    ) {
    }
}

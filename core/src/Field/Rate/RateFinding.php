<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

/** Rows that are off alike, by how much, and what explains it. */
final readonly class RateFinding
{
    /**
     * @param  list<int>  $rows  that were dug and are off so
     * @param  Rate  $rate  theirs against what is set; where all rows are off besides, against the others
     * @param  non-empty-list<RateCause>  $causes  the likeliest first
     * @param  bool  $isProven  false where rows that could tell it from all rows were not dug
     */
    public function __construct(
        public RateScope $scope,
        public string $group,
        public array $rows,
        public Rate $rate,
        public array $causes,
        public bool $isProven = true,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Opener\ShimSensitivity;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\WearNow;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\Sheet;

/** What proposals hang on besides what was found: the policy, prices, wear and shims of a planter, and the shop's own record. */
final readonly class Circumstances
{
    /**
     * @param  array<string, float|null>  $prices  of what would go into a slot, by SlotPlace key; null where nobody knows
     * @param  array<string, WearNow>  $wear  by key of the place that reads the part
     * @param  array<int, array{int|null, int|null}>  $shims  inner shims left and right, by row; null where nobody counted
     * @param  array<string, array{int, int}>  $left  findings that the shop left, and those of them that went wrong, by check
     * @param  float|null  $acresLeft  of the season; null without a plan
     * @param  float  $acresDone  of it, 0 or more
     * @param  float|null  $stopCost  what a stop in season costs besides the work that is done in it either way; null where nobody has said
     */
    public function __construct(
        public Sheet $sheet,
        public RowUnits $units,
        public Policy $policy,
        public JobBook $jobs,
        public array $prices = [],
        public array $wear = [],
        public array $shims = [],
        public ?ShimSensitivity $sensitivity = null,
        public array $left = [],
        public ?float $acresLeft = null,
        public float $acresDone = 0.0,
        public ?float $stopCost = null,
        /** @var array<int, float> contact length by row, millimetres, of those that were measured */
        public array $contacts = [],
    ) {
    }
}

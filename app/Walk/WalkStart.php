<?php

declare(strict_types=1);

namespace App\Walk;

use Carbon\CarbonImmutable;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** How a walk is to be started. */
final readonly class WalkStart
{
    /** @param  array<mixed>|null  $checks  keys of the checks that are walked; null for all */
    public function __construct(
        public string $id,
        public WalkKind $kind,
        public WalkOrder $order,
        public ?array $checks,
        public CarbonImmutable $at,
        /** The name of the pack that it is started with. */
        public ?string $pack = null,
    ) {
    }
}

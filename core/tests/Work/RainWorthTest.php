<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Work;

use Ustrel\Core\Work\Stops\RainWorth;

it('adds the depth that is won back to the stop that is saved', function (): void {
    // A stop costs 400, one acre a quarter inch too shallow costs 6; the row plants 50 acres more.
    $worth = new RainWorth(400.0, 6.0, 50.0);
    // Both blades have lost half an inch of diameter: a quarter inch of depth on 50 acres is 300, and a tenth of a stop 40.
    expect($worth->of(0.1, [6.35, 6.35]))->toEqualWithDelta(340.0, 1e-9)
        // One of two: an eighth of an inch of depth.
        ->and($worth->of(0.0, [6.35]))->toEqualWithDelta(150.0, 1e-9)
        ->and($worth->of(0.5, []))->toBe(200.0)
        ->and((new RainWorth(400.0, 0.0, 50.0))->of(0.25, [6.35]))->toBe(100.0);
});

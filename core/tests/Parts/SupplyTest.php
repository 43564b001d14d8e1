<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\Arrival;
use Ustrel\Core\Parts\Stock\Supply;

it('hands out what is here, then what comes first, then what has no date, and then what would have to be ordered', function (): void {
    $supply = new Supply(1, [[null, 1], [Day::of('2026-12-09'), 1], [Day::of('2026-12-04'), 2]], Day::of('2026-12-20'));
    expect(array_map(static fn (): Arrival => $supply->take(), range(1, 6)))->toEqual([
        Arrival::here(), Arrival::ordered(Day::of('2026-12-04')), Arrival::ordered(Day::of('2026-12-04')), Arrival::ordered(Day::of('2026-12-09')),
        Arrival::ordered(null), Arrival::notOrdered(Day::of('2026-12-20')),
    ])->and((new Supply(0, [], null))->take()->isKnown())->toBeFalse()->and(Arrival::here()->isKnown())->toBeTrue();
});

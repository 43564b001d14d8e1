<?php

declare(strict_types=1);

use Ustrel\Core\Field\Emergence\InvalidYield;
use Ustrel\Core\Field\Emergence\YieldCurve;

it('goes straight from one figure of the shop to the next, and says nothing beyond', function (): void {
    $curve = YieldCurve::read('30,000 192; 26000: 180; 34k = 200');
    expect($curve->at(26_000.0))->toBe(180.0)->and($curve->at(28_000.0))->toEqualWithDelta(186, 1e-9)->and($curve->at(33_000.0))->toEqualWithDelta(198, 1e-9)->and($curve->at(34_000.0))->toBe(200.0)
        ->and($curve->at(25_999.0))->toBeNull()->and($curve->at(34_001.0))->toBeNull();
});

it('takes a curve that is told for a hectare', function (): void {
    // 74,132 plants and 12 t a hectare are 30,000 and 4.856 an acre.
    $curve = YieldCurve::read('74132 12; 86487 13', 2.4710538);
    expect($curve->points[0][0])->toEqualWithDelta(30_000, 1)->and($curve->at(30_000.5))->toEqualWithDelta(4.856, 0.001);
});

it('says what is no curve', function (string $typed, string $fault): void {
    try {
        YieldCurve::read($typed);
    } catch (InvalidYield $invalid) {
        expect($invalid->fault)->toBe($fault);

        return;
    }
    expect($typed)->toBe('refused');
})->with([['', 'count'], ['30000 190', 'count'], ['30000; 32000 190', 'point'], ['30000 -5; 32000 190', 'point'], ['30000 190; 30,000 191', 'twice'], ['30 190; 32000 191', 'number'], ['many 190; 32000 191', 'point'], [implode('; ', array_map(static fn (int $at): string => (20_000 + 1000 * $at).' 150', range(1, 13))), 'count']]);

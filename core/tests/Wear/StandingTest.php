<?php

declare(strict_types=1);

use Ustrel\Core\Wear\Standing;

it('tells by a word how a part stands', function (?float $left, ?float $chance, bool $isThin, Standing $standing, bool $isShort): void {
    expect(Standing::of($left, $chance, $isThin, 0.2))->toBe($standing)
        ->and($standing->isShort())->toBe($isShort);
})->with([
    'never read' => [null, null, true, Standing::Unknown, false],
    'the end is out of sight' => [null, 0.0, false, Standing::Lasts, false],
    'at its limit, whatever the odds' => [0.0, null, true, Standing::AtLimit, true],
    'by the nominal life' => [900.0, 0.9, true, Standing::Nominal, false],
    'no plan, no odds' => [900.0, null, false, Standing::Lasts, false],
    'at the shop’s figure' => [900.0, 0.2, false, Standing::Lasts, false],
    'over it' => [900.0, 0.21, false, Standing::MayNotLast, true],
    'even odds' => [900.0, 0.5, false, Standing::MayNotLast, true],
    'more likely than not' => [900.0, 0.51, false, Standing::HardlyLasts, true],
]);

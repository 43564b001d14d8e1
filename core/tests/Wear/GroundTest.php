<?php

declare(strict_types=1);

use Ustrel\Core\Wear\Acres\AcresLine;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

it('counts downforce among what wears parts, and goes by the shop\'s own figures where it has some', function (): void {
    $sand = new Ground(Soil::Sand, downforce: DownforceLevel::Heavy);
    $shop = new GroundFactors(['soil' => ['sand' => 1.5], 'downforce' => ['heavy' => 1.2]]);
    // 1.3 x 1.15 = 1.495 and 1.5 x 1.2
    expect($sand->severity())->toBe(1.5)->and($sand->severity($shop))->toBe(1.8)
        // What the shop said nothing of stays typical: 1.5 x 1.1 x 1.15.
        ->and((new Ground(Soil::Sand, Residue::Heavy, Tillage::NoTill))->severity($shop))->toBe(1.9)
        // Never out of 0.5 to 2, and a field's own figure goes before all.
        ->and((new Ground(Soil::Sand, Residue::Heavy, Tillage::NoTill, downforce: DownforceLevel::Heavy))->severity($shop))->toBe(Ground::HARSHEST)
        ->and((new Ground(Soil::Clay, downforce: DownforceLevel::Light))->severity(new GroundFactors(['soil' => ['clay' => 0.5], 'downforce' => ['light' => 0.5]])))->toBe(Ground::MILDEST)
        ->and((new Ground(Soil::Sand, own: 0.7))->severity($shop))->toBe(0.7);
});

it('hears downforce in a line of acres', function (): void {
    expect(AcresLine::read('40 ac, Long Field, sand, light downforce')->ground)->toEqual(new Ground(Soil::Sand, downforce: DownforceLevel::Light));
});

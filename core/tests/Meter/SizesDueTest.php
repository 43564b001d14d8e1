<?php

declare(strict_types=1);

use Ustrel\Core\Meter\SizesDue;

it('says which sizes of the season’s seed are left', function (array $planned, array $run, array $left): void {
    expect(SizesDue::of($planned, $run, ['p7' => 5.2, 'p8' => 5.3, 'p9' => 6.4, 'soy' => null]))->toBe($left);
})->with([
    'none was run: one of each size' => [['P7', 'P8', 'P9', 'Soy'], [], ['P7', 'P9', 'Soy']],
    'one of the size was' => [['P7', 'P9'], ['P8'], ['P9']],
    'by whatever letters' => [['P7 ', 'Soy'], ['p7', 'SOY'], []],
    'a size that nobody knows is like itself only' => [['Soy', 'Other'], ['Soy'], ['Other']],
    'what was run and is not planted' => [['P9'], ['P7', 'Old lot'], ['P9']],
    'nothing is planted' => [[], ['P7'], []],
    'no name' => [['', ' '], [], []],
]);

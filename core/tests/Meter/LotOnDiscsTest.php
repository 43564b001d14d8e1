<?php

declare(strict_types=1);

use Ustrel\Core\Meter\LotOnDiscs;
use Ustrel\Core\Meter\SeedDisc;

beforeEach(function (): void {
    $this->discs = ['small' => new SeedDisc(60, 3.0, 5.5), 'large' => new SeedDisc(60, 6.5, 8.5), 'odd' => new SeedDisc(30, null, null)];
});

it('goes by the disc in each meter, not by one on the shelf', function (array $set, ?bool $fits): void {
    expect(LotOnDiscs::of(7.9, $set, $this->discs)->fits())->toBe($fits);
})->with([
    'in all' => [[1 => 'large', 2 => 'large'], true],
    'the wrong one in all, the right one on the shelf' => [[1 => 'small', 2 => 'small'], false],
    'the wrong one in one of two' => [[1 => 'large', 2 => 'small'], false],
    'nobody said what is in the second' => [[1 => 'large', 2 => null], null],
    'the wrong one goes before what nobody said' => [[1 => 'small', 2 => null], false],
    'a disc without a range' => [[1 => 'large', 2 => 'odd'], null],
    'a disc that no list knows' => [[1 => 'large', 2 => 'borrowed'], null],
]);

it('names what would take the seed, and what is wrong where', function (): void {
    $held = LotOnDiscs::of(7.9, [1 => 'large', 2 => 'small', 3 => null], $this->discs);
    expect($held)->misfits->toBe([2 => 'too_large'])->unset->toBe([3])->fitting->toBe(['large']);
    expect(LotOnDiscs::of(2.0, [1 => 'small'], $this->discs))->misfits->toBe([1 => 'too_small'])->fitting->toBe([]);
    expect(LotOnDiscs::of(null, [1 => 'small'], $this->discs)->fits())->toBeNull();
});

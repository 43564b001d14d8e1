<?php

declare(strict_types=1);

use Ustrel\Core\Meter\LotOnDiscs;
use Ustrel\Core\Meter\SeedDisc;
use Ustrel\Core\Meter\TagSeed;

beforeEach(function (): void {
    $this->discs = ['small' => new SeedDisc(60, 3.0, 5.5), 'large' => new SeedDisc(60, 6.5, 8.5), 'odd' => new SeedDisc(30, null, null)];
});

it('goes by the disc in each meter, not by one on the shelf', function (array $set, ?bool $fits): void {
    expect(LotOnDiscs::of(new TagSeed(7.9), $set, $this->discs)->fits())->toBe($fits);
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
    $held = LotOnDiscs::of(new TagSeed(7.9), [1 => 'large', 2 => 'small', 3 => null], $this->discs);
    expect($held)->misfits->toBe([2 => 'too_large'])->unset->toBe([3])->fitting->toBe(['large']);
    expect(LotOnDiscs::of(new TagSeed(2.0), [1 => 'small'], $this->discs))->misfits->toBe([1 => 'too_small'])->fitting->toBe([]);
    expect(LotOnDiscs::of(new TagSeed(null), [1 => 'small'], $this->discs)->fits())->toBeNull();
});

it('calls nothing done by an estimate, nor where two of them disagree', function (TagSeed $seed, SeedDisc $disc, ?bool $fits, array $estimated, array $contradicting): void {
    $held = LotOnDiscs::of($seed, [1 => 'in'], ['in' => $disc]);
    expect($held->fits())->toBe($fits)->and($held->estimated)->toBe($estimated)->and($held->contradicting)->toBe($contradicting);
})->with([
    // 1,600 corn seeds a pound are about 7.6 mm, 6.4 to 8.7.
    'estimated to fit' => [new TagSeed(null, 'corn', '', 1600), new SeedDisc(30, 6.0, 9.0), null, [1 => 'fits'], []],
    'estimated too large' => [new TagSeed(null, 'corn', '', 1600), new SeedDisc(30, 3.0, 6.0), null, [1 => 'too_large'], []],
    'half of the estimate' => [new TagSeed(null, 'corn', '', 1600), new SeedDisc(30, 7.0, 9.0), null, [], []],
    'meant for the class' => [new TagSeed(null, 'Popcorn', 'Medium  Flat'), new SeedDisc(30, null, null, 'popcorn', 'medium flat'), true, [], []],
    'meant for another class' => [new TagSeed(null, 'popcorn', 'large round'), new SeedDisc(30, null, null, 'popcorn', 'medium flat'), false, [], []],
    'of another crop' => [new TagSeed(null, 'soybeans', 'medium'), new SeedDisc(30, null, null, 'corn', 'medium'), false, [], []],
    'measured goes before meant, and both agree' => [new TagSeed(7.5, 'corn', 'F14'), new SeedDisc(30, 7.0, 8.0, 'corn', 'F14'), true, [], []],
    'measured says yes and the class no' => [new TagSeed(7.5, 'corn', 'F14'), new SeedDisc(30, 7.0, 8.0, 'corn', 'R22'), null, [], [1]],
    'meant says yes and the estimate no' => [new TagSeed(null, 'corn', 'F14', 1600), new SeedDisc(30, 3.0, 6.0, 'corn', 'F14'), null, [], [1]],
    'nothing known' => [new TagSeed(null), new SeedDisc(30, 7.0, 8.0), null, [], []],
]);

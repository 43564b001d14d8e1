<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Cost;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Risk;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Work\LedgerDraft;

/** @return list<array{string, string, int|null}> kind, side and pairs of what an adjustment asks for */
function adjusted(Why $why, ?int $by): array
{
    $place = new Place(3, CheckKey::from('blade_contact_length'), Side::Centre);
    $job = Job::at(Action::Adjust, $place);
    $asked = new Proposal($place, Action::Adjust, $why, null, $by === null ? null : Unit::Shim->quantityOf($by), [], 0, [$job], Cost::of([]), 10.0, Risk::unknown(), null, false);

    return array_map(static fn (LedgerDraft $draft): array => [$draft->kind->value, $draft->side->value, $draft->pairs], LedgerDraft::of($job, $asked));
}

it('adds shims where the contact is too long, and takes them out where it is too short', function (Why $why, ?int $by, int $pairs): void {
    expect(adjusted($why, $by))->toBe([['shims_moved', 'centre', $pairs]]);
})->with([
    'too long' => [Why::ShimsIn, 2, 2],
    'still too long' => [Why::ShimsNotEnough, 6, 6],
    'too short' => [Why::ShimsOut, 2, -2],
    'no contact' => [Why::ShimOutAndMeasure, 1, -1],
    'no contact, no figure' => [Why::ShimOutAndMeasure, null, -1],
]);

it('leaves it to whoever levels the packs how many they moved on each side', function (Why $why): void {
    expect(adjusted($why, 3))->toBe([['shims_moved', 'left', null], ['shims_moved', 'right', null]]);
})->with([Why::LevelPacks, Why::LevelPacksAndMeasure]);

it('asks for nothing where no shims of the opener are moved', function (Why $why): void {
    expect(adjusted($why, 1))->toBe([]);
})->with([Why::ArmShimIn, Why::ArmShimOut, Why::CountShims, Why::SetTo, Why::FewShims]);

it('fits a part on the side of the job', function (): void {
    [$draft] = LedgerDraft::of(Job::change(new SlotPlace(3, Slot::from('opener_blade'), Side::Right)), null);
    expect([$draft->kind->value, $draft->side, $draft->slot, $draft->pairs])->toBe(['fitted', Side::Right, Slot::from('opener_blade'), null]);
});

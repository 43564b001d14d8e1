<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Circumstances;
use Ustrel\Core\Plan\Finding;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\LookAgain;
use Ustrel\Core\Plan\Policy\ChangeWhen;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Plan\Policy\Policy;
use Ustrel\Core\Plan\Policy\Scope;
use Ustrel\Core\Plan\Policy\SlotRule;
use Ustrel\Core\Plan\Policy\Strategy;
use Ustrel\Core\Plan\Policy\WearNow;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\Proposals;
use Ustrel\Core\Plan\Risk;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;

/** What a walk finds at a place: a figure as typed, or a state with what was ticked. */
function finding(string $key, string $said, ?Background $background = null, Chip ...$chips): Finding
{
    $place = Place::fromKey($key);
    $check = sheetFor()->check($place->check) ?? throw new LogicException($key);
    $state = State::tryFrom($said);
    $answer = $state === null ? Answer::figure($check->unit->read($said, UnitSystem::Inch), array_values($chips)) : Answer::state($state, array_values($chips));
    $judged = $check->judge($answer, $background ?? Background::of());

    return new Finding($place, $check, $judged->verdict, $judged->reasons, $answer);
}

/** @param  array<string, mixed>  $more */
function circumstances(array $more = []): Circumstances
{
    return new Circumstances(...$more + [
        'sheet' => sheetFor(), 'units' => new Ustrel\Core\Spec\RowUnits(8, Ustrel\Core\Spec\Equipment::of(['drive' => 'ground', 'coulter' => true, 'fertilizer' => true], Ustrel\Core\Spec\RowUnitType::Vacuum)),
        'policy' => Policy::of(Strategy::Limit), 'jobs' => JobBook::typical(),
    ]);
}

/** @return list<string> action, why, figure to set and to turn by, parts */
function proposed(Proposal $proposal): array
{
    $figure = static fn (?Quantity $quantity): string => $quantity === null ? '' : (string) round($quantity->unit()->valueOf($quantity), 3);

    return [$proposal->action->value, $proposal->why->value, trim("{$figure($proposal->to)}/{$figure($proposal->by)}", '/'), implode(' ', array_map(static fn ($part): string => $part->key(), $proposal->parts))];
}

it('proposes one thing for each kind of finding', function (Finding $finding, array $told, array $more = []): void {
    expect(proposed(Proposals::of([$finding], circumstances($more))[$finding->place->key()]))->toBe($told);
})->with([
    'a blade past its limit, with its partner' => [fn () => finding('3:opener_blade_diameter:left', '14 3/8'), ['change', 'past_limit', '368.3', '3:opener_blade:left 3:opener_blade:right']],
    'a blade near its limit' => [fn () => finding('3:opener_blade_diameter:left', '14 9/16'), ['carry_over', 'still_goes', '', '']],
    'a fertilizer blade, with its boot' => [fn () => finding('3:fertilizer_blade_diameter:centre', '14 3/8'), ['change', 'past_limit', '368.3', '3:fertilizer_blade:centre 3:fertilizer_boot:centre']],
    'a chain, with its sprockets' => [fn () => finding('3:chain_length:centre', '12 3/4'), ['change', 'past_limit', '3', '3:meter_chain:centre 3:sprockets:centre']],
    'a bushing, in pairs' => [fn () => finding('3:gauge_arm_play:left', '3/8'), ['change', 'past_limit', '6.35', '3:gauge_arm_bushing:left 3:gauge_arm_bushing:right']],
    'a seized bearing' => [fn () => finding('8:opener_bearing:left', 'failed', null, Chip::Seized), ['change', 'cannot_run', '', '8:opener_bearing:left']],
    'a curled tube' => [fn () => finding('5:seed_tube:centre', 'change', null, Chip::CurledLip), ['change', 'past_limit', '', '5:seed_tube:centre']],
    'a thin tube' => [fn () => finding('4:fertilizer_tube:centre', 'watch', null, Chip::Thin), ['carry_over', 'looks_poor', '', '']],
    'a dirty eye' => [fn () => finding('4:seed_sensor:centre', 'watch', null, Chip::Dirty), ['clean', 'clean_it', '', '']],
    'a plugged tube' => [fn () => finding('4:fertilizer_tube:centre', 'change', null, Chip::Plugged), ['clean', 'clean_it', '', '']],
    'plugged and split' => [fn () => finding('4:fertilizer_tube:centre', 'change', null, Chip::Plugged, Chip::Split), ['change', 'past_limit', '', '4:fertilizer_tube:centre']],
    'loose bolts' => [fn () => finding('4:arm_bolts:centre', 'change', null, Chip::Loose), ['adjust', 'tighten', '', '']],
    'a loose bearing is no loose bolt' => [fn () => finding('4:gauge_bearing:left', 'change', null, Chip::Loose), ['change', 'past_limit', '', '4:gauge_bearing:left']],
    'too much tension' => [fn () => finding('4:firmer_tension:centre', 'change', null, Chip::TooTight), ['adjust', 'loosen', '', '']],
    'a gap' => [fn () => finding('2:gauge_touch:left', 'gap'), ['adjust', 'arm_shim_out', '1', '']],
    'too tight' => [fn () => finding('2:gauge_touch:left', 'tight'), ['adjust', 'arm_shim_in', '1', '']],
    // 1 1/4 in: taking a pair out brings L^2 from 1.5625 to 3.3125 in^2, L to 1.82 in or 46.23 mm.
    'short contact' => [fn () => finding('6:blade_contact_length:centre', '1 1/4'), ['adjust', 'shims_out', '46.229/1', ''], ['shims' => [6 => [3, 3]]]],
    // 2 3/4 in: with one pair more 7.5625 - 1.75 = 5.8125 in^2, L 2.41; with two 4.0625, 2.016 in or 51.2 mm, nearer to 2 in.
    'long contact' => [fn () => finding('6:blade_contact_length:centre', '2 3/4'), ['adjust', 'shims_in', '51.195/2', ''], ['shims' => [6 => [3, 3]]]],
    'no contact' => [fn () => finding('6:blade_contact_length:centre', '0'), ['adjust', 'shim_out_and_measure', '1', ''], ['shims' => [6 => [3, 3]]]],
    'no shims left' => [fn () => finding('6:blade_contact_length:centre', '1 1/4'), ['change', 'blades_done', '', '6:opener_blade:left 6:opener_blade:right'], ['shims' => [6 => [0, 0]]]],
    'shims not counted' => [fn () => finding('6:blade_contact_length:centre', '1 1/4'), ['look_again', 'count_shims', '', '']],
    'unequal packs' => [fn () => finding('6:inner_shims:left', '4', Background::of(otherSide: Ustrel\Core\Measure\Unit::Shim->quantityOf(2))), ['adjust', 'level_packs_and_measure', '2', '']],
    // One instruction for both: packs of 3 and 1, 1 1/4 in. Two out on the left are one pair: sqrt(1.5625 + 1.75) in.
    'unequal packs and short contact' => [fn () => finding('6:inner_shims:left', '3', Background::of(otherSide: Ustrel\Core\Measure\Unit::Shim->quantityOf(1))), ['adjust', 'level_packs', '46.229/1', ''], ['shims' => [6 => [3, 1]], 'contacts' => [6 => 31.75]]],
    'the same, said at the contact' => [fn () => finding('6:blade_contact_length:centre', '1 1/4'), ['adjust', 'level_packs', '46.229/1', ''], ['shims' => [6 => [3, 1]]]],
    'watch with a reason stays watch' => [fn () => finding('6:fertilizer_pivot:centre', 'watch', null, Chip::Play), ['carry_over', 'looks_poor', '', '']],
    'few shims' => [fn () => finding('6:inner_shims:left', '0'), ['carry_over', 'few_shims', '', '']],
    // Rubber closers: 1 1/2 in.
    'a wide gap of the closers' => [fn () => finding('4:closing_gap:centre', '2'), ['adjust', 'set_to', '38.1', '']],
    'off to the left' => [fn () => finding('4:closing_centring:centre', '1/2', null, Chip::OffLeft), ['adjust', 'move_right', '12.7', '']],
    'off, nobody said where' => [fn () => finding('4:closing_centring:centre', '1/2'), ['adjust', 'move_to_centre', '12.7', '']],
    'a stop that lifts late' => [fn () => finding('2:depth_stop_notch:centre', '8', Background::of(median: Ustrel\Core\Measure\Unit::Notch->quantityOf(5))), ['adjust', 'carry_notches', '3', '']],
    'set too low' => [fn () => finding('2:depth_set_notch:centre', '4', Background::of(aim: Ustrel\Core\Measure\Unit::Notch->quantityOf(6))), ['adjust', 'set_to', '6/2', '']],
    'air under the rest' => [fn () => finding('7:air_at_meter:centre', '16.6', Background::of(median: Ustrel\Core\Measure\Unit::InchOfWater->quantityOf(18))), ['send_out', 'air_low', '1.4', '']],
    'due on the stand' => [fn () => finding('7:meter_bench_seasons:centre', '4'), ['send_out', 'bench_due', '', '']],
    'not cleaned' => [fn () => finding('7:meter_cleaned:centre', 'no'), ['clean', 'see_to', '', '']],
    'locks not in' => [fn () => finding('0:frame_locks:centre', 'no'), ['look_again', 'see_to', '', '']],
    // Level to 1 1/2 degrees nose up, to the half degree.
    'nose up' => [fn () => finding('0:toolbar_pitch:centre', '5'), ['adjust', 'set_to', '0.5', '']],
    'a leaking hose' => [fn () => finding('0:hydraulic_hoses:centre', 'change', null, Chip::Leaking), ['change', 'past_limit', '', '']],
]);

it('has a remedy for whatever can be found', function (): void {
    foreach (sheetFor()->checks as $check) {
        $row = $check->isOfWholePlanter() ? 0 : 2;
        $place = new Place($row, $check->key, $check->sides[0]);
        $answers = match ($check->kind) {
            CheckKind::Condition => array_map(static fn (string $chip): Answer => Answer::state(State::Watch, [Chip::from($chip)]), array_keys($check->definition->chips)),
            CheckKind::Touch => [Answer::state(State::Gap), Answer::state(State::Tight)],
            CheckKind::YesNo => [Answer::state(State::No)],
            default => array_map(static fn (int $steps): Answer => Answer::figure($check->unit->quantity($steps)), $check->rule->breakPoints(Background::of(median: $check->unit->quantity(5000), otherSide: $check->unit->quantity(3000), aim: $check->unit->quantity(5000)))),
        };
        foreach ([Verdict::Watch, Verdict::Change, Verdict::Failed] as $verdict) {
            foreach ($answers as $answer) {
                $reasons = $check->judge($answer, Background::of(median: $check->unit->quantity(5000), otherSide: $check->unit->quantity(3000), aim: $check->unit->quantity(5000)))->reasons;
                $proposal = Proposals::of([new Finding($place, $check, $verdict, $reasons, $answer)], circumstances())[$place->key()];
                expect($proposal->cost->known)->toBe(0.0)
                    ->and($proposal->lookAgain !== null)->toBe($proposal->action === Action::CarryOver, $check->key->value)
                    ->and($proposal->minutes > 0)->toBe($proposal->action !== Action::CarryOver && ($proposal->jobs !== []), $check->key->value);
            }
        }
    }
});

it('keeps an unknown price unknown in every sum', function (): void {
    $now = circumstances(['prices' => ['3:opener_blade:left' => 38.5, '3:opener_blade:right' => 38.5, '5:seed_tube:centre' => null]]);
    $proposals = Proposals::of([finding('3:opener_blade_diameter:left', '14 3/8'), finding('3:opener_blade_diameter:right', '14 3/8'), finding('5:seed_tube:centre', 'change', null, Chip::CurledLip), finding('0:hydraulic_hoses:centre', 'change', null, Chip::Leaking)], $now);
    [$cost, $minutes] = Proposals::together(array_values($proposals), $now);
    // Both blades, once; a tube and a hose that nobody has a price of. 34 for the blades, 3 for the tube, 10 for the planter.
    expect([$cost->known, $cost->unknown, $minutes])->toBe([77.0, 2, 47.0])
        ->and($proposals['0:hydraulic_hoses:centre']->isForQualified)->toBeTrue();
});

it('waits with the contact for the blades', function (): void {
    $proposals = Proposals::of([finding('3:blade_contact_length:centre', '1 1/4'), finding('3:opener_blade_diameter:left', '14 3/8'), finding('4:blade_contact_length:centre', '1 1/4')], circumstances(['shims' => [3 => [3, 3], 4 => [3, 3]]]));
    expect(proposed($proposals['3:blade_contact_length:centre']))->toBe(['adjust', 'after_blades', '50.8', ''])
        ->and($proposals['3:blade_contact_length:centre']->minutes)->toBe(4.0)
        ->and($proposals['4:blade_contact_length:centre']->why->value)->toBe('shims_out');
});

/** @return array<string, WearNow> blades of eight rows, so far gone */
function blades(float ...$gone): array
{
    $wear = [];
    foreach (array_values($gone) as $at => $share) {
        $wear[($at + 1).':opener_blade_diameter:left'] = new WearNow($share, $share + 0.3, 0.4, false, 300.0);
    }

    return $wear;
}

it('follows the policy', function (Policy $policy, array $wear, array $due): void {
    $proposals = Proposals::of([], circumstances(['policy' => $policy, 'wear' => $wear]));
    expect(array_map(static fn (Proposal $proposal): string => "{$proposal->place->row} {$proposal->why->value}", array_values($proposals)))->toBe($due);
})->with([
    'limit asks for nothing that was not found' => [Policy::of(Strategy::Limit), blades(1.2, 0.5), []],
    'every spring' => [Policy::of(Strategy::EverySpring), blades(0.0, 0.5), ['1 always', '2 always']],
    'the set, once half of it would not last' => [Policy::of(Strategy::Set), blades(0.8, 0.9, 0.1, 0.2), ['1 would_not_last', '2 would_not_last', '3 set_is_due', '4 set_is_due']],
    'the set is not due' => [Policy::of(Strategy::Set), blades(0.8, 0.5, 0.1, 0.2), []],
    'like new' => [Policy::of(Strategy::LikeNew), blades(0.4, 0.39), ['1 share_gone']],
    'of its own' => [Policy::own(['opener_blade' => new SlotRule(ChangeWhen::ShareGone, 0.7, Scope::Row)]), blades(0.8, 0.5), ['1 share_gone']],
    'one kind of slot by another policy' => [Policy::of(Strategy::EverySpring)->with(Ustrel\Core\Parts\Slot::from('opener_blade'), Policy::of(Strategy::Limit)), blades(0.9), []],
]);

it('changes along what the policy says goes with it', function (): void {
    $proposals = Proposals::of([], circumstances(['policy' => Policy::of(Strategy::EverySpring), 'wear' => blades(0.2)]));
    expect(proposed($proposals['1:opener_blade_diameter:left'])[3])->toBe('1:opener_blade:left 1:opener_blade:right 1:seed_tube_guard:centre');
});

it('changes now what is dearer to leave', function (): void {
    $prices = ['3:opener_blade:left' => 40.0, '3:opener_blade:right' => 40.0];
    $wear = ['3:opener_blade_diameter:left' => new WearNow(0.9, 1.2, 0.5, false, 300.0), '3:opener_blade_diameter:right' => new WearNow(0.6, 0.9, 0.1, false, 900.0)];
    $of = static fn (array $more): string => Proposals::of([finding('3:opener_blade_diameter:left', '14 9/16')], circumstances($more + ['prices' => $prices, 'wear' => $wear]))['3:opener_blade_diameter:left']->why->value;
    // Thrown away 0.1 x 40 + 0.4 x 40 = 20; half a chance of a stop of 41 or of 39.
    expect($of(['stopCost' => 41.0]))->toBe('cheaper_now')
        ->and($of(['stopCost' => 39.0]))->toBe('still_goes')
        ->and($of([]))->toBe('still_goes')
        ->and($of(['stopCost' => 500.0, 'prices' => []]))->toBe('still_goes')
        ->and($of(['stopCost' => 500.0, 'wear' => ['3:opener_blade_diameter:left' => new WearNow(0.9, 1.2, 0.5, true, 300.0)]]))->toBe('still_goes');
});

it('says when to look again', function (): void {
    $of = static fn (array $more): LookAgain => Proposals::of([finding('3:opener_blade_diameter:left', '14 9/16')], circumstances($more))['3:opener_blade_diameter:left']->lookAgain ?? throw new LogicException;
    $wear = ['3:opener_blade_diameter:left' => new WearNow(0.9, 1.2, 0.3, false, 250.7)];
    expect($of(['wear' => $wear, 'acresLeft' => 600.0, 'acresDone' => 200.0]))->toEqual(LookAgain::at(LookWhen::Acres, 450.0))
        // Nine in ten see the season through.
        ->and($of(['wear' => $wear, 'acresLeft' => 240.0])->when)->toBe(LookWhen::FirstRain)
        ->and($of([])->when)->toBe(LookWhen::NextWalk);
    $acres = LookAgain::at(LookWhen::Acres, 450.0);
    expect([$acres->isDue(449.9, false, false), $acres->isDue(450.0, false, false), $acres->isDue(0.0, true, false)])->toBe([false, true, true])
        ->and(LookAgain::at(LookWhen::FirstRain)->isDue(0.0, false, true))->toBeTrue()
        ->and(LookAgain::at(LookWhen::NextWalk)->isDue(900.0, false, false))->toBeFalse();
});

it('takes the shop’s own record of findings left, and says when it is thin', function (): void {
    // Nothing on record: 0.5 of 5 for watch, 1.5 of 5 for change. With 3 of 20 gone wrong: 4.5 / 25.
    expect([Risk::ofRecord(Verdict::Watch, 0, 0)->chance, Risk::ofRecord(Verdict::Watch, 0, 0)->isThin])->toBe([0.1, true])
        ->and(Risk::ofRecord(Verdict::Change, 0, 0)->chance)->toBe(0.3)
        ->and([Risk::ofRecord(Verdict::Change, 20, 3)->chance, Risk::ofRecord(Verdict::Change, 20, 3)->isThin])->toBe([0.18, false])
        ->and(Proposals::of([finding('5:seed_tube:centre', 'change', null, Chip::CurledLip)], circumstances(['left' => ['seed_tube' => [20, 3]]]))['5:seed_tube:centre']->risk->chance)->toBe(0.18);
});

it('says the same of the same', function (): void {
    $findings = [finding('3:opener_blade_diameter:left', '14 3/8'), finding('2:gauge_touch:left', 'gap')];
    expect(Proposals::of($findings, circumstances()))->toEqual(Proposals::of($findings, circumstances()));
});

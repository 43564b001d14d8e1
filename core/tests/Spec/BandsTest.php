<?php

declare(strict_types=1);

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Bands;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\AtLeast;
use Ustrel\Core\Spec\Rules\ChainStretch;
use Ustrel\Core\Spec\Rules\DueAfter;
use Ustrel\Core\Spec\Rules\LikePartner;
use Ustrel\Core\Spec\Rules\NearAim;
use Ustrel\Core\Spec\Rules\NearMedian;
use Ustrel\Core\Spec\Rules\OffCentre;
use Ustrel\Core\Spec\Rules\PlayLimit;
use Ustrel\Core\Spec\Rules\Range;
use Ustrel\Core\Spec\Rules\WearLimit;
use Ustrel\Core\Spec\Rules\Window;

function inches(string $typed): Length
{
    return Length::read($typed, UnitSystem::Inch);
}

function blade(): WearLimit
{
    return new WearLimit(inches('15'), inches('14 1/2'), inches('1/8'));
}

function contact(): Window
{
    return new Window(inches('1 1/2'), inches('2 1/2'), inches('2'), inches('1/8'));
}

/** @return list<string> */
function codes(Rule $rule, string $value, ?string $turnsAt = null): array
{
    return words($rule->judge(inches($value), Background::of($turnsAt === null ? null : outlook(inches($turnsAt)))));
}

function outlook(Length $turnsAt): SeasonOutlook
{
    return new SeasonOutlook($turnsAt, Unit::Percent->quantity(20_000));
}

it('judges a blade at, under and over its limit', function (string $value, array $expected): void {
    expect(codes(blade(), $value))->toBe($expected);
})->with([
    'well under' => ['14 3/8', ['change', 'under_limit']],
    'a hair under' => ['14.499999', ['change', 'under_limit']],
    'at the limit' => ['14 1/2', ['watch', 'at_limit']],
    'within the margin' => ['14 9/16', ['watch', 'near_limit']],
    'at the margin' => ['14 5/8', ['watch', 'near_limit']],
    'a hair past the margin' => ['14.625001', ['sound', 'above_limit']],
    'new' => ['15', ['sound', 'above_limit']],
]);

it('watches what will not last the season, whichever way it wears', function (Rule $rule, string $value, ?string $turnsAt, array $expected): void {
    expect(codes($rule, $value, $turnsAt))->toBe($expected);
})->with([
    'a blade just under' => [blade(), '14 11/16', '14 3/4', ['watch', 'will_not_last']],
    'a blade at it' => [blade(), '14 3/4', '14 3/4', ['sound', 'above_limit']],
    'near, and will not last' => [blade(), '14 9/16', '14 3/4', ['watch', 'near_limit', 'will_not_last']],
    'past the limit in any case' => [blade(), '14 3/8', '14 3/4', ['change', 'under_limit']],
    'the record too thin' => [blade(), '14 11/16', null, ['sound', 'above_limit']],
    'play just over' => [new PlayLimit(inches('1/8'), inches('1/4')), '3/32', '1/16', ['watch', 'will_outgrow']],
    'play at it' => [new PlayLimit(inches('1/8'), inches('1/4')), '1/16', '1/16', ['sound', 'little_play']],
    'play over both' => [new PlayLimit(inches('1/8'), inches('1/4')), '3/16', '1/16', ['watch', 'over_play_watch', 'will_outgrow']],
    'a chain' => [new ChainStretch(inches('1/2'), Unit::Percent->quantity(1500), Unit::Percent->quantity(3000)), '5 1/16', '5 1/32', ['watch', 'will_outgrow']],
    'contact in its window' => [contact(), '1 7/8', '2', ['watch', 'will_not_last']],
    'contact at the long end' => [contact(), '2 3/8', '1 3/4', ['watch', 'near_window_high']],
]);

it('judges contact at both ends of its window', function (string $value, array $expected): void {
    expect(codes(contact(), $value))->toBe($expected);
})->with([
    'none' => ['0', ['change', 'no_contact']],
    'short' => ['1 7/16', ['change', 'under_window']],
    'at the low end' => ['1 1/2', ['watch', 'near_window_low']],
    'near the low end' => ['1 5/8', ['watch', 'near_window_low']],
    'at the aim' => ['2', ['sound', 'in_window']],
    'near the high end' => ['2 3/8', ['watch', 'near_window_high']],
    'at the high end' => ['2 1/2', ['watch', 'near_window_high']],
    'long' => ['2 9/16', ['change', 'over_window']],
]);

/** One rule of each kind with figures of its own, odd on purpose: half-way points then fall between two steps. */
function ruleFor(int $case, int $low, int $width, int $margin): Rule
{
    $of = fn (int $steps): Length => Length::ofNanometres($steps);

    return match ($case % 10) {
        0 => new WearLimit($of($low + $width), $of($low), $of($margin)),
        1 => new Window($of($low), $of($low + $width), $of($low + intdiv($width, 2) + 1), $of(intdiv($margin, 2))),
        2 => new PlayLimit($of($low), $of($low + $width)),
        3 => new ChainStretch($of($low), Unit::Percent->quantity(1500), Unit::Percent->quantity(3000)),
        4 => new Range($of($low), $of($low + $width)),
        5 => new OffCentre($of($low)),
        6 => new NearMedian($of($margin), Verdict::Watch),
        7 => new AtLeast($of($low)),
        8 => new LikePartner($of($low + $width), $of($margin + 1)),
        default => new NearAim($of($margin), $of($margin + 1 + intdiv($width, 3))),
    };
}

it('gives the same answer by bands as by the rule, for every value', function (): void {
    mt_srand(20260301);
    for ($case = 0; $case < 400; $case++) {
        $low = mt_rand(1_000_000, 400_000_000);
        $width = mt_rand(3, 50_000_000);
        $rule = ruleFor($case, $low, $width, mt_rand(0, $width - 1));
        $outlook = $case % 3 === 0 ? null : outlook(Length::ofNanometres(mt_rand(max(0, $low - 5_000_000), $low + $width + 5_000_000)));
        $median = $case % 5 === 0 ? null : Length::ofNanometres(mt_rand($low, $low + $width));
        $otherSide = $case % 7 === 0 ? null : Length::ofNanometres(mt_rand($low, $low + $width));
        $aim = $case % 4 === 0 ? null : Length::ofNanometres(mt_rand($low, $low + $width));
        $background = Background::of($outlook, $median, $otherSide, $aim);
        $bands = Bands::compile($rule, Unit::Millimetre, $background);

        // Everywhere at random, and one step to each side of every break point.
        $values = [0, 1, $low, $low + $width, $low + $width + 1_000_000_000];
        foreach ($bands->bands as $band) {
            array_push($values, $band->from - 1, $band->from, $band->from + 1);
        }
        // And about what it is held against, whether a band begins there or not.
        foreach (array_filter([$otherSide, $aim, $median]) as $against) {
            array_push($values, $against->steps() - 1, $against->steps(), $against->steps() + 1);
        }
        for ($draw = 0; $draw < 60; $draw++) {
            $values[] = mt_rand(max(0, $low - 1000), $low + $width + 1000);
            $values[] = mt_rand(0, 12 * $low);
        }
        foreach ($values as $nanometres) {
            $value = Length::ofNanometres(max(0, $nanometres));
            expect($bands->judge($value)->equals($rule->judge($value, $background)))->toBeTrue("case {$case}, {$nanometres} nm");
        }
    }
});

it('has bands below zero where a figure can be', function (): void {
    $bands = Bands::compile(new Range(Unit::Degree->quantity(-500), Unit::Degree->quantity(1500)), Unit::Degree, Background::of());
    expect(array_column($bands->bands, 'from'))->toBe([-45_000, -500, 1501])
        ->and($bands->judge(Unit::Degree->quantity(-501))->verdict)->toBe(Verdict::Change)
        ->and($bands->judge(Unit::Degree->quantity(-500))->verdict)->toBe(Verdict::Sound);
});

it('keeps bands in order and no two alike beside each other', function (): void {
    $bands = Bands::compile(blade(), Unit::Millimetre, Background::of(outlook(inches('14 3/4'))))->bands;
    expect(array_column($bands, 'from'))->toBe([
        0, 368_300_000, 368_300_001,
        // 14 5/8 is the last of "near"; under 14 3/4 it will not last.
        371_475_001, 374_650_000,
    ]);
    expect($bands[4]->judgement->verdict)->toBe(Verdict::Sound)
        ->and($bands[3]->judgement->reasons[0]->code)->toBe(ReasonCode::WillNotLast);
});

it('says how much of the usable size is left', function (): void {
    // A chain at 1.5 of the 3 % it may stretch, an arm at half its play.
    $chain = new ChainStretch(inches('1/2'), Unit::Percent->quantity(1500), Unit::Percent->quantity(3000));
    expect($chain->lifeLeft(inches('5.075')))->toEqualWithDelta(0.5, 1e-9)
        ->and($chain->elongation(inches('5.05'))->steps())->toBe(1000)
        ->and($chain->elongation(inches('12.12'))->steps())->toBe(1000)
        ->and($chain->elongation(inches('12 1/16'))->steps())->toBe(521)
        ->and($chain->lifeLeft(inches('5.075')))->toEqualWithDelta($chain->lifeLeft(inches('12.18')), 1e-6)
        // What a caliper reads wears on the same path: half the allowance is left of either.
        ->and($chain->wear(FurrowDistance::ofMiles(1500))->room(5.075 * 25.4))->toEqualWithDelta(0.18 * 25.4, 1e-6)
        ->and($chain->wear(FurrowDistance::ofMiles(1500))->room(12.18 * 25.4))->toEqualWithDelta(0.18 * 25.4, 1e-6)
        ->and((new PlayLimit(inches('1/8'), inches('1/4')))->lifeLeft(inches('1/8')))->toBe(0.5)
        ->and((new Range(inches('1'), inches('2')))->lifeLeft(inches('1')))->toBeNull();
    expect(blade()->lifeLeft(inches('15')))->toBe(1.0)
        ->and(blade()->lifeLeft(inches('14 3/4')))->toBe(0.5)
        ->and(blade()->lifeLeft(inches('14 3/8')))->toBe(0.0)
        ->and(contact()->lifeLeft(inches('1 3/4')))->toBe(0.5)
        ->and(contact()->lifeLeft(inches('2 1/4')))->toBe(1.0)
        ->and(contact()->lifeLeft(inches('2 5/8')))->toBe(0.0);
});

it('takes the worst of several verdicts', function (): void {
    expect(Verdict::worst([]))->toBe(Verdict::Unchecked)
        ->and(Verdict::worst([Verdict::Sound, Verdict::Change, Verdict::Watch]))->toBe(Verdict::Change)
        ->and(Verdict::worst([Verdict::Failed, Verdict::Change]))->toBe(Verdict::Failed);
});

it('names what is wrong with the figures of a rule, to the step', function (Rule $rule, array $faults): void {
    expect($rule->faults())->toBe($faults);
})->with(static function (): iterable {
    $of = static fn (int $steps): Length => Length::ofNanometres($steps);
    $percent = static fn (int $steps) => Unit::Percent->quantity($steps);
    yield 'play of nothing' => [new PlayLimit($of(0), $of(0)), ['limit' => 'zero']];
    yield 'play of a step' => [new PlayLimit($of(0), $of(1)), []];
    yield 'a chain without a pitch' => [new ChainStretch($of(0), $percent(1), $percent(2)), ['pitch' => 'zero']];
    yield 'a chain without a limit' => [new ChainStretch($of(5), $percent(0), $percent(0)), ['limit' => 'zero']];
    yield 'a chain watched at its limit' => [new ChainStretch($of(1), $percent(1), $percent(1)), ['watch' => 'watch_not_under_limit']];
    yield 'a good chain' => [new ChainStretch($of(1), $percent(0), $percent(1)), []];
    yield 'a window from nothing' => [new Window($of(0), $of(9), $of(5), $of(1)), ['high' => 'window_upside_down']];
    yield 'a window of nothing' => [new Window($of(9), $of(9), $of(9), $of(1)), ['high' => 'window_upside_down']];
    yield 'an aim at the low end' => [new Window($of(1), $of(9), $of(1), $of(1)), ['aim' => 'aim_outside_window']];
    yield 'an aim at the high end' => [new Window($of(1), $of(9), $of(9), $of(1)), []];
    yield 'an aim beyond' => [new Window($of(1), $of(9), $of(10), $of(1)), ['aim' => 'aim_outside_window']];
    yield 'due at once' => [new DueAfter($of(0)), ['interval' => 'zero']];
    yield 'due after a step' => [new DueAfter($of(1)), []];
    yield 'watched at the limit' => [new NearAim($of(3), $of(3)), ['watch' => 'watch_not_under_limit']];
    yield 'watched under it' => [new NearAim($of(2), $of(3)), []];
    yield 'a target less than its tolerance' => [new LikePartner($of(3), $of(4)), (Range::around($of(3), $of(4)))->faults()];
});

it('tells whether a notch is over or under its aim, and how life left ends at nothing and at one', function (): void {
    $of = static fn (int $steps): Length => Length::ofNanometres($steps);
    $at = static fn (int $steps): array => words((new NearAim($of(2), $of(5)))->judge($of($steps), Background::of(aim: $of(100))));
    expect([$at(98), $at(102), $at(97), $at(103), $at(95), $at(105), $at(94), $at(106)])->toBe([
        ['sound', 'at_aim'], ['sound', 'at_aim'], ['watch', 'below_aim'], ['watch', 'above_aim'], ['watch', 'below_aim'], ['watch', 'above_aim'], ['change', 'below_aim'], ['change', 'above_aim'],
    ]);
    $play = new PlayLimit($of(50), $of(100));
    $chain = new ChainStretch($of(1_000_000), Unit::Percent->quantity(1500), Unit::Percent->quantity(3000));
    expect([$play->lifeLeft($of(0)), $play->lifeLeft($of(25)), $play->lifeLeft($of(150))])->toBe([1.0, 0.75, 0.0])
        ->and([$chain->lifeLeft($of(9_000_000)), $chain->lifeLeft($of(13_000_000))])->toBe([1.0, 0.0])
        ->and(blade()->lifeLeft(inches('15 1/4')))->toBe(1.0)
        ->and(contact()->lifeLeft(inches('1')))->toBe(0.0);
});

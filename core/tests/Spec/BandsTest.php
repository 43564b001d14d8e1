<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Bands;
use Ustrel\Core\Spec\Reason;
use Ustrel\Core\Spec\ReasonCode;
use Ustrel\Core\Spec\Rule;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Spec\WearLimit;
use Ustrel\Core\Spec\Window;

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
function codes(Rule $rule, string $value, ?string $last = null): array
{
    $judgement = $rule->judge(inches($value), $last === null ? null : inches($last));

    return [$judgement->verdict->value, ...array_map(fn (Reason $reason): string => $reason->code->value, $judgement->reasons)];
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

it('watches a blade that another season like the last takes under its limit', function (string $value, string $last, array $expected): void {
    expect(codes(blade(), $value, $last))->toBe($expected);
})->with([
    // 14 11/16 after 14 15/16 lost 1/4: 14 7/16 next, under 14 1/2.
    'will not last' => ['14 11/16', '14 15/16', ['watch', 'will_not_last']],
    // Lost 3/16: 14 1/2 next, at the limit and so not under it.
    'just lasts' => ['14 11/16', '14 7/8', ['sound', 'above_limit']],
    'near and will not last' => ['14 9/16', '14 3/4', ['watch', 'near_limit', 'will_not_last']],
    'new since last time' => ['15', '14 3/8', ['sound', 'above_limit']],
    'no wear' => ['14 11/16', '14 11/16', ['sound', 'above_limit']],
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

it('gives the same answer by bands as by the rule, for every value', function (): void {
    mt_srand(20260301);
    for ($case = 0; $case < 300; $case++) {
        // Odd nanometres on purpose: the half-way point of "will not last" then falls between two of them.
        $limit = mt_rand(1_000_000, 400_000_000);
        $allowance = mt_rand(3, 50_000_000);
        $margin = mt_rand(0, $allowance - 1);
        $new = $limit + $allowance;
        $rule = $case % 2 === 0
            ? new WearLimit(Length::ofNanometres($new), Length::ofNanometres($limit), Length::ofNanometres($margin))
            : new Window(
                Length::ofNanometres($limit), Length::ofNanometres($new),
                Length::ofNanometres($limit + intdiv($allowance, 2) + 1), Length::ofNanometres(intdiv($margin, 2)),
            );
        $last = $case % 3 === 0 ? null : Length::ofNanometres(mt_rand($limit - 5_000_000 > 0 ? $limit - 5_000_000 : 0, $new + 5_000_000));
        $bands = Bands::compile($rule, $last);

        // Everywhere at random, and one step to each side of every break point.
        $values = [0, 1, $limit, $new, $new + 1_000_000_000];
        foreach ($bands->bands as $band) {
            array_push($values, $band->from - 1, $band->from, $band->from + 1);
        }
        for ($draw = 0; $draw < 60; $draw++) {
            $values[] = mt_rand(max(0, $limit - 1000), $new + 1000);
            $values[] = mt_rand(0, 2 * $new);
        }
        foreach ($values as $nanometres) {
            $value = Length::ofNanometres(max(0, $nanometres));
            expect($bands->judge($value)->equals($rule->judge($value, $last)))->toBeTrue("case {$case}, {$nanometres} nm");
        }
    }
});

it('keeps bands in order and no two alike beside each other', function (): void {
    $bands = Bands::compile(blade(), inches('15'))->bands;
    expect(array_column($bands, 'from'))->toBe([
        0, 368_300_000, 368_300_001,
        // 14 5/8 is the last of "near"; up to (14 1/2 + 15) / 2 = 14 3/4 it will not last.
        371_475_001, 374_650_000,
    ]);
    expect($bands[4]->judgement->verdict)->toBe(Verdict::Sound)
        ->and($bands[3]->judgement->reasons[0]->code)->toBe(ReasonCode::WillNotLast);
});

it('says how much of the usable size is left', function (): void {
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

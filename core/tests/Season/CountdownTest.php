<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Countdown;
use Ustrel\Core\Season\Crew;
use Ustrel\Core\Season\Deadline;
use Ustrel\Core\Season\Ready;

/** Two people, eight hours each from Monday to Friday. */
function weekdays(): Crew
{
    return Crew::of([array_fill(1, 5, 8.0), array_fill(1, 5, 8.0)]);
}

it('finds the last day to begin by the hours that people have', function (): void {
    // 2027-04-09 is a Friday.
    $friday = Day::of('2027-04-09');
    expect(weekdays()->latestStart($friday, 16.0)?->iso)->toBe('2027-04-09')
        ->and(weekdays()->latestStart($friday, 16.5)?->iso)->toBe('2027-04-08')
        // Over the weekend: Friday, Thursday to Monday, and the Friday before.
        ->and(weekdays()->latestStart($friday, 81.0)?->iso)->toBe('2027-04-02')
        ->and(weekdays()->latestStart(Day::of('2027-04-11'), 1.0)?->iso)->toBe('2027-04-09')
        ->and(Crew::of([])->latestStart($friday, 1.0))->toBeNull()
        ->and(Crew::of([[6 => 0.1]])->latestStart($friday, 100.0))->toBeNull();
});

it('counts backwards, each step done before what needs it begins', function (): void {
    // Planting on Monday, 2027-04-26. First pass by Sunday, 3 h: Friday 23rd. Level by the 22nd, 2 h: the 22nd. Work by the 21st, 40 h at
    // 16 a day: the 19th, Monday. Parts here by the 18th; 10 days of post: ordered by the 7th, decided by the 6th; walk of 20 h by the 5th: the 2nd.
    $told = [];
    foreach (Countdown::of(Day::of('2027-04-26'), Day::of('2027-04-06'), weekdays(), [
        'walk' => Ready::open(20.0), 'decisions' => Ready::open(1.0), 'parts_ordered' => Ready::open(), 'parts_here' => Ready::open(days: 10),
        'work' => Ready::open(40.0), 'level' => Ready::open(2.0), 'monitor' => Ready::done(), 'first_pass' => Ready::open(3.0), 'seed' => Ready::open(),
    ], ['own' => [Day::of('2027-04-01'), false], 'tidy' => [Day::of('2027-04-01'), true]]) as $deadline) {
        $told[$deadline->key] = implode(' ', [$deadline->due->iso, $deadline->latestStart?->iso, $deadline->isDone ? 'done' : ($deadline->isLate ? 'late' : 'open')]);
    }
    expect($told)->toBe([
        'own' => '2027-04-01 2027-04-01 late',
        'tidy' => '2027-04-01 2027-04-01 done',
        'walk' => '2027-04-05 2027-04-02 late',
        'decisions' => '2027-04-06 2027-04-06 open',
        'parts_ordered' => '2027-04-07 2027-04-07 open',
        'seed' => '2027-04-12 2027-04-12 open',
        'parts_here' => '2027-04-18 2027-04-08 open',
        'work' => '2027-04-21 2027-04-19 open',
        'level' => '2027-04-22 2027-04-22 open',
        'monitor' => '2027-04-22 2027-04-22 done',
        'first_pass' => '2027-04-25 2027-04-23 open',
    ]);
});

it('knows when it is due, but not when to begin, where nobody has hours', function (): void {
    $work = array_values(array_filter(
        Countdown::of(Day::of('2027-04-26'), Day::of('2027-03-01'), Crew::of([]), ['work' => Ready::open(40.0), 'walk' => Ready::open(2.0)]),
        static fn (Deadline $deadline): bool => $deadline->key === 'work',
    ))[0];
    expect($work->due->iso)->toBe('2027-04-25')->and($work->latestStart)->toBeNull()->and($work->isLate)->toBeFalse();
});

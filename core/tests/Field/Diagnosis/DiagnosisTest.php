<?php

declare(strict_types=1);

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Diagnosis\Cause;
use Ustrel\Core\Field\Diagnosis\DiagnosisTable;
use Ustrel\Core\Field\Diagnosis\DigSymptoms;
use Ustrel\Core\Field\Diagnosis\Evidence;
use Ustrel\Core\Field\Diagnosis\InvalidTable;
use Ustrel\Core\Field\Diagnosis\Ranked;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Spec\CheckKey;

/** Two causes and another, so that it can be worked by hand. */
function smallTable(): array
{
    return [
        'other' => ['prior' => 0.2, 'why' => ''],
        'record' => ['with' => ['amiss' => 0.5, 'watch' => 0.25, 'sound' => 0.25], 'without' => ['amiss' => 0.1, 'watch' => 0.1, 'sound' => 0.8]],
        'symptoms' => array_map(static fn (): array => ['by_chance' => 0.1], array_column(Symptom::cases(), null, 'value')),
        'causes' => [
            ['key' => 'contact', 'prior' => 0.4, 'why' => '', 'checks' => ['blade_contact_length'], 'minutes' => 4, 'shows' => ['w' => 0.8, 'shallow' => 0.5]],
            ['key' => 'blades', 'prior' => 0.4, 'why' => '', 'checks' => ['opener_blade_diameter'], 'minutes' => 2, 'shows' => ['shallow' => 0.5]],
        ],
    ];
}

it('reckons by Bayes as worked by hand', function (): void {
    $ranked = DiagnosisTable::read(smallTable())->rank([Symptom::W, Symptom::Shallow]);
    // W: 0.1 + 0.9 x 0.8 = 0.82 with bad contact, 0.1 else; shallow 0.55 with either, 0.1 else.
    $weights = [0.4 * 0.82 * 0.55, 0.4 * 0.1 * 0.55, 0.2 * 0.1 * 0.1];
    foreach ($weights as $at => $weight) {
        expect($ranked[$at]->chance)->toEqualWithDelta($weight / array_sum($weights), 1e-12);
    }
    expect(array_map(static fn (Ranked $of): string => $of->cause->key, $ranked))->toBe(['contact', 'blades', 'other'])->and($ranked[0]->because)->toBe([Symptom::W, Symptom::Shallow])->and($ranked[1]->because)->toBe([Symptom::Shallow]);
    // Blades read small and contact right: 5 times as likely, and 0.25 / 0.8 times.
    $ranked = DiagnosisTable::read(smallTable())->rank([Symptom::Shallow], [Symptom::W], ['opener_blade_diameter' => Evidence::Amiss, 'blade_contact_length' => Evidence::Sound]);
    $weights = ['blades' => 0.4 * 0.55 * (1 - 0.1 * 0.85) * 5, 'contact' => 0.4 * 0.55 * (1 - 0.82 * 0.85) * 0.25 / 0.8, 'other' => 0.2 * 0.1 * (1 - 0.1 * 0.85)];
    expect($ranked[0]->cause->key)->toBe('blades')->and($ranked[0]->chance)->toEqualWithDelta($weights['blades'] / array_sum($weights), 1e-12)
        ->and($ranked[0]->record)->toHaveCount(1)->and($ranked[1]->against)->toHaveCount(1);
});

it('takes a figure that is off at the other end for sound', function (): void {
    $table = smallTable();
    $table['causes'][0]['end'] = 'low';
    $table = DiagnosisTable::read($table);
    $chance = static fn (array $record): float => array_values(array_filter($table->rank([Symptom::Shallow], [], $record), static fn (Ranked $of): bool => $of->cause->key === 'contact'))[0]->chance;
    $amiss = ['blade_contact_length' => Evidence::Amiss];
    expect($chance($amiss + ['blade_contact_length high' => Evidence::Amiss, 'blade_contact_length low' => Evidence::Sound]))->toEqualWithDelta($chance(['blade_contact_length' => Evidence::Sound]), 1e-12)
        ->and($chance($amiss + ['blade_contact_length low' => Evidence::Amiss, 'blade_contact_length high' => Evidence::Sound]))->toEqualWithDelta($chance($amiss), 1e-12);
});

it('looks first where a minute tells most, and not again where it was looked', function (): void {
    $table = DiagnosisTable::read(smallTable());
    $ranked = $table->rank([Symptom::Shallow]);
    // Both are as likely, and blades take half the time.
    $looks = $table->looks($ranked, []);
    expect(array_map(static fn (array $of): string => $of[0]->key, $looks))->toBe(['blades', 'contact'])->and($looks[0][1])->toEqualWithDelta(2 * $looks[1][1], 1e-9)->and($looks[1][1])->toBeGreaterThan(0);
    $record = ['opener_blade_diameter' => Evidence::Sound];
    expect(array_map(static fn (array $of): string => $of[0]->key, $table->looks($table->rank([Symptom::Shallow], [], $record), $record)))->toBe(['contact']);
});

it('says what tells two apart, and nothing where one is far ahead or nobody has seen anything', function (): void {
    $table = DiagnosisTable::read(smallTable());
    // Alike by what is seen: blades are the quicker look, and contact is named first only by its place in the table.
    $told = $table->diagnose([Symptom::Shallow]);
    expect([$told->first?->key, $told->apart?->key])->toBe(['blades', 'contact'])->and($table->diagnose([Symptom::W])->apart)->toBeNull()->and($table->diagnose([])->ranked)->toBe([])
        ->and(array_column($table->for(['opener_blade_diameter' => true])->causes, 'key'))->toBe(['blades']);
});

it('refuses a table that names what there is not, or that is certain', function (array $change): void {
    DiagnosisTable::read(array_replace_recursive(smallTable(), $change));
})->with([
    'no such symptom' => [['causes' => [['shows' => ['rust' => 0.5]]]]],
    'no such check' => [['causes' => [['checks' => ['horn']]]]],
    'always' => [['causes' => [['shows' => ['w' => 1.0]]]]],
    'an end that there is not' => [['causes' => [['end' => 'middle'] + smallTable()['causes'][0]]]],
    'never' => [['symptoms' => ['w' => ['by_chance' => 0.0]]]],
])->throws(InvalidTable::class);

/**
 * Faults as a table does not know them: each shows its symptoms by its own rates, some are overlooked, some come by chance more often than is
 * said, a second fault brings its own, checks were not all looked at, and read amiss elsewhere too.
 *
 * @return array{float, float} how often the true cause comes first, and among the first three
 */
function diagnosed(bool $hasRecord, float $looked, bool $isShared = false): array
{
    $table = DiagnosisTable::typical();
    $random = new Randomizer(new Mt19937(5));
    $draw = static fn (): float => $random->getInt(0, 1 << 30) / (1 << 30);
    // What all rows or half of them have, or one alone.
    $drawn = array_values(array_filter($table->causes, static fn (Cause $one): bool => $isShared === (isset($one->shows['all_rows']) || isset($one->shows['half_rows']))));
    $first = $three = 0;
    $faults = 1200;
    $ends = array_flip(array_map(static fn (CheckKey $of): string => $of->value, array_merge(...array_column(array_filter($table->causes, static fn (Cause $of): bool => $of->end !== null), 'checks'))));
    for ($fault = 0; $fault < $faults; $fault++) {
        $cause = $drawn[$random->getInt(0, count($drawn) - 1)];
        $second = $draw() < 0.25 ? $drawn[$random->getInt(0, count($drawn) - 1)] : null;
        $shown = [];
        foreach (Symptom::cases() as $symptom) {
            $rate = min(0.97, ($cause->shows[$symptom->value] ?? 0.0) * (0.75 + 0.5 * $draw()));
            $also = $second === null ? 0.0 : 0.6 * ($second->shows[$symptom->value] ?? 0.0);
            $shown[$symptom->value] = ($draw() < $rate && $draw() > 0.08) || $draw() < $also || $draw() < 0.04;
        }
        // Nobody digs before something is seen.
        if (array_filter(array_intersect_key($shown, $cause->shows)) === []) {
            $shown[(string) array_search(max($cause->shows), $cause->shows, true)] = true;
        }
        $seen = array_values(array_filter(Symptom::cases(), static fn (Symptom $one): bool => $shown[$one->value]));
        $absent = array_values(array_filter(Symptom::cases(), static fn (Symptom $of): bool => ! $shown[$of->value] && ($of->isSaid() || $draw() < 0.8)));
        $record = [];
        foreach (array_unique(array_merge(...array_column($table->causes, 'checks')), SORT_REGULAR) as $check) {
            if ($draw() > $looked) {
                continue;
            }
            $bad = in_array($check, $cause->checks, true) ? 0.55 : ($second !== null && in_array($check, $second->checks, true) ? 0.5 : 0.05);
            $at = $draw();
            $record[$check->value] = match (true) {
                $at < $bad => Evidence::Amiss,
                $at < $bad + 0.15 => Evidence::Watch,
                default => Evidence::Sound,
            };
            // Figures that have two ends are off at one of them.
            if (isset($ends[$check->value]) && $record[$check->value] !== Evidence::Sound) {
                $of = in_array($check, $cause->checks, true) ? $cause : $second;
                $end = $of !== null && in_array($check, $of->checks, true) && $of->end !== null && $draw() < 0.95 ? $of->end : ['low', 'high'][$random->getInt(0, 1)];
                $record["{$check->value} {$end}"] = $record[$check->value];
                $record["{$check->value} ".($end === 'low' ? 'high' : 'low')] = Evidence::Sound;
            }
        }
        $ranked = array_map(static fn (Ranked $of): Cause => $of->cause, $table->rank($seen, $absent, $hasRecord ? $record : []));
        $place = array_search($cause, $ranked, true);
        $first += $place === 0 || $ranked[0] === $second ? 1 : 0;
        $three += $place < 3 ? 1 : 0;
    }

    return [$first / $faults, $three / $faults];
}

it('has the true cause first in three of five and among the first three in four of five, and is clearly worse without the record', function (float $looked, float $first, float $three): void {
    [$isFirst, $isAmongThree] = diagnosed(true, $looked);
    [$firstAlone, $threeAlone] = diagnosed(false, $looked);
    expect($isFirst)->toBeGreaterThan($first)->and($isAmongThree)->toBeGreaterThan($three)->and($firstAlone)->toBeLessThan($isFirst - 0.1)->and($threeAlone)->toBeLessThan($isAmongThree - 0.04);
})->with(['walked whole' => [0.95, 0.6, 0.79], 'a third was not looked at' => [0.67, 0.54, 0.74]]);

it('tells what all rows share from what one row has, once somebody says that they are alike', function (): void {
    [$first, $three] = diagnosed(true, 0.95, true);
    // Half of them are of the ground, which no record tells of.
    expect($first)->toBeGreaterThan(0.4)->and($three)->toBeGreaterThan(0.65);
    $keys = static fn (array $seen, array $record = []): array => array_map(static fn (Ranked $one): string => $one->cause->key, DiagnosisTable::typical()->diagnose($seen, [], $record)->ranked);
    // One thin row is no cold spring; all rows late are.
    expect(array_slice($keys([Symptom::Thin, Symptom::Late]), 0, 5))->not->toContain('cold')->not->toContain('crust')
        ->and($keys([Symptom::Late, Symptom::AllRows])[0])->toBe('cold')
        ->and($keys([Symptom::Shallow, Symptom::AllRows])[0])->toBe('toolbar')->and($keys([Symptom::Skips, Symptom::AllRows])[0])->toBe('fan')
        ->and($keys([Symptom::Dead, Symptom::HalfRows])[0])->toBe('shared_drive')->and(array_slice($keys([Symptom::PaleStreak, Symptom::AllRows]), 0, 2))->toContain('tank')
        ->and($keys([Symptom::Thin, Symptom::AllRows], ['drive_wheel_contact' => Evidence::Amiss, 'air_fan' => Evidence::Sound])[0])->toBe('drive_wheel')
        ->and(DiagnosisTable::typical()->diagnose([Symptom::AllRows])->ranked)->toBe([]);
    // What is not fitted is not blamed.
    $plain = array_map(static fn (Cause $one): string => $one->key, DiagnosisTable::typical()->for(['seed_tube' => true])->causes);
    expect($plain)->not->toContain('fan')->not->toContain('tank')->not->toContain('drive_wheel')->not->toContain('drive_tab')->toContain('cold');
});

it('takes from a dig what is not as it should be, and what was looked for and is not there', function (): void {
    $row = new DugRow([38, 30, 45, 52, 36, 41], [165, 160, 20, 170, 165, 160, 168, 15, 330, 165, 12, 160]);
    $told = DigSymptoms::of($row, [DigSign::W, DigSign::DrySoil], false, 165.0);
    $values = static fn (array $of): array => array_map(static fn (Symptom $symptom): string => $symptom->value, $of);
    // Depths scatter by 7.6 mm; three of twelve spacings are doubled, which is more than luck, and one is missed, which is not.
    expect($values($told->seen))->toBe(['shallow', 'varies', 'w', 'dry_soil', 'doubles'])
        ->and($values($told->absent))->toBe(['deep', 'open', 'smeared', 'residue', 'off_centre', 'skips', 'spacing_poor']);
    // Two seeds, and nobody looked at the furrow: nothing is said to be absent.
    $few = DigSymptoms::of(new DugRow([45, 46]), [], null, null);
    expect([$few->seen, $few->absent])->toBe([[], []]);
});

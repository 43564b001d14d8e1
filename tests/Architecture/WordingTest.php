<?php

declare(strict_types=1);

use App\Record\Import\ImportKind;
use App\Walk\Board\CurrentReading;
use App\Walk\Board\StoredAnswer;
use App\Walk\Export\Wording;
use Ustrel\Core\Field\Watch\AlarmKind;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\InvalidWatch;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\Watched;
use Ustrel\Core\Measure\DateStyle;
use Ustrel\Core\Measure\NumberFault;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Opener\ShimAdviceCode;
use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Parts\LedgerFaultCode;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\ClosingWheels;
use Ustrel\Core\Spec\Downforce;
use Ustrel\Core\Spec\Drive;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\MeterType;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Rules\RuleName;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Walk\DoubtCode;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;
use Ustrel\Core\Wear\Standing;

/** @return array<string, string> */
function wording(): array
{
    $files = glob(lang_path('en/*.json')) ?: [];
    $words = array_map(static fn (string $file): array => json_decode((string) file_get_contents($file), true, 4, JSON_THROW_ON_ERROR), $files);
    // No word in two of them.
    expect(count(array_merge(...$words)))->toBe(array_sum(array_map(count(...), $words)));

    return array_merge(...$words);
}

it('has words for everything that core can say', function (string $group, string $enum): void {
    foreach ($enum === CheckKey::class ? CheckKey::shipped() : $enum::cases() as $case) {
        expect(wording())->toHaveKey("{$group}.{$case->value}");
    }
})->with([
    ['number', NumberFault::class], ['reason', ReasonCode::class], ['doubt', DoubtCode::class], ['verdict', Verdict::class],
    ['check', CheckKey::class], ['measure', CheckKey::class], ['station', Station::class], ['caution', Station::class], ['side', Side::class],
    ['chip', Chip::class], ['state', State::class], ['entry', Entry::class], ['result', Result::class], ['fit', FitRule::class],
    ['refused.wrong_kind', CheckKind::class], ['meter', MeterType::class], ['drive', Drive::class], ['downforce', Downforce::class], ['closing_wheels', ClosingWheels::class],
    ['walk_kind', WalkKind::class], ['walk_order', WalkOrder::class], ['row_unit', RowUnitType::class], ['slot', Slot::class], ['removal', RemovalReason::class], ['ledger', LedgerFaultCode::class], ['shims', ShimAdviceCode::class],
    ['soil', Soil::class], ['residue', Residue::class], ['tillage', Tillage::class], ['import.kind', ImportKind::class], ['standing', Standing::class],
    ['watched', Watched::class], ['group_kind', GroupKind::class], ['practice_fault', PracticeFault::class], ['meter_school', MeterStrategy::class],
]);

it('has words for every alarm, and for every line of a monitor that cannot be read', function (): void {
    $alarms = array_map(static fn (GroupKind $kind): string => "watch.shared_{$kind->value}", GroupKind::cases());
    foreach (Watched::cases() as $of) {
        foreach ($of->troubles() as $direction) {
            $alarms[] = "watch.says_drift_{$of->value}_".($direction < 0 ? 'down' : 'up');
        }
        $alarms = [...$alarms, ...$of->stops() ? ["watch.says_low_{$of->value}", "watch.says_stopped_{$of->value}"] : []];
    }
    foreach (AlarmKind::cases() as $kind) {
        $alarms = [...$alarms, ...$kind->isSensor() ? ["watch.says_{$kind->value}"] : []];
    }
    foreach ([InvalidWatch::line(), InvalidWatch::ms(), InvalidWatch::mph(), InvalidWatch::rows(), InvalidWatch::off(), InvalidWatch::target()] as $invalid) {
        $alarms[] = "watch.line_{$invalid->fault}";
    }
    expect(wording())->toHaveKeys($alarms)->and($alarms)->toHaveCount(26);
});

it('says of every check how it is made, in three lines', function (): void {
    foreach (CheckKey::shipped() as $check) {
        expect(wording())->toHaveKeys(["howto.{$check->value}.1", "howto.{$check->value}.2", "howto.{$check->value}.3"]);
    }
    foreach (RuleName::cases() as $rule) {
        foreach (array_keys($rule->figures()) as $figure) {
            expect(wording())->toHaveKey("figure.{$figure}");
        }
    }
});

it('has words for every message that the code asks for by name', function (): void {
    $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(app_path(), FilesystemIterator::SKIP_DOTS));
    $asked = [];
    foreach ($files as $file) {
        $code = (string) file_get_contents((string) $file);
        // Named whole, in one of the groups of what is said; or by what is thrown, within its group.
        preg_match_all("/'((?:refused|ledger|acres|acres_line|import|photo|error|part|level|time|print)\\.[a-z_.]+[a-z])'/", $code, $named);
        preg_match_all("/(RefusedLine|RefusedFile|NotAPicture)::because\\('([a-z_]+)'/", $code, $thrown, PREG_SET_ORDER);
        array_push($asked, ...$named[1], ...array_map(static fn (array $match): string => ($match[1] === 'NotAPicture' ? 'photo.' : 'import.').$match[2], $thrown));
    }
    preg_match_all("/SpecFault::at\\([^)]*'([a-z_]+)'\\)/", (string) file_get_contents(base_path('core/src/Spec/SpecSheetReader.php')), $faults);
    // The names of a rule and of a view, and no words.
    $asked = array_diff($asked, ['photo.required', 'print.walk', 'print.blank', 'print.order', 'print.work', 'print.ready', 'print.bench', 'print.settings']);
    $asked = array_unique([...$asked, ...array_map(fn (string $fault): string => "spec.{$fault}", $faults[1])]);

    expect(count($asked))->toBeGreaterThan(35)
        ->and(array_values(array_diff($asked, array_keys(wording()))))->toBe([]);
});

/** @param  list<array{code: string, ref: float|null, unit: string|null}>  $reasons */
function readingOf(string $check, string $value, array $reasons): CurrentReading
{
    return new CurrentReading('x', Result::Recorded, new StoredAnswer($check, $value, null, '[]'), Verdict::Change, json_encode($reasons), '2026-03-01');
}

it('words reasons in the units of the person', function (UnitSystem $units, string $expected): void {
    $reading = readingOf('opener_blade_diameter', '365.125000', [['code' => 'under_limit', 'ref' => 368.3, 'unit' => 'mm']]);
    expect((new Wording(new QuantityPrinter($units), DateStyle::beside(null)))->reasons(CheckKey::from('opener_blade_diameter'), $reading))->toBe($expected);
})->with([
    [UnitSystem::Inch, '1/8 in under the limit of 14 1/2 in.'],
    [UnitSystem::Metric, '3.2 mm under the limit of 368.3 mm.'],
]);

it('words ticked reasons as sentences, and has a check\'s own words where there are any', function (): void {
    $reading = readingOf('closing_gap', '25.4', [['code' => 'under_range', 'ref' => 28.575, 'unit' => 'mm'], ['code' => 'chip.worn', 'ref' => null, 'unit' => null]]);
    expect((new Wording(new QuantityPrinter(UnitSystem::Inch), DateStyle::beside(null)))->reasons(CheckKey::from('closing_gap'), $reading))
        ->toBe('1/8 in closer than 1 1/8 in: set the wheels apart. Worn.');
});

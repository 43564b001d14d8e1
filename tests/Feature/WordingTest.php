<?php

declare(strict_types=1);

use App\Exports\Wording;
use App\Queries\CurrentReading;
use Ustrel\Core\Measure\LengthFault;
use Ustrel\Core\Measure\LengthPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\ReasonCode;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\DoubtCode;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** @return array<string, string> */
function wording(): array
{
    return json_decode((string) file_get_contents(lang_path('en.json')), true, 4, JSON_THROW_ON_ERROR);
}

it('has words for everything that core can say', function (string $group, string $enum): void {
    foreach ($enum::cases() as $case) {
        expect(wording())->toHaveKey("{$group}.{$case->value}");
    }
})->with([
    ['length', LengthFault::class], ['reason', ReasonCode::class], ['doubt', DoubtCode::class], ['verdict', Verdict::class],
    ['check', CheckKey::class], ['measure', CheckKey::class], ['caution', CheckKey::class], ['station', Station::class], ['side', Side::class],
    ['walk_kind', WalkKind::class], ['walk_order', WalkOrder::class], ['row_unit', RowUnitType::class],
]);

it('has words for every message that the code asks for by name', function (): void {
    $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(app_path(), FilesystemIterator::SKIP_DOTS));
    $asked = [];
    foreach ($files as $file) {
        $code = (string) file_get_contents((string) $file);
        preg_match_all("/__\\('([a-z_.]+)'|RefusedReading::because\\('([a-z_]+)'/", $code, $found, PREG_SET_ORDER);
        foreach ($found as $match) {
            $asked[] = ($match[2] ?? '') === '' ? $match[1] : "refused.{$match[2]}";
        }
    }
    preg_match_all("/SpecFault::at\\([^)]*'([a-z_]+)'\\)/", (string) file_get_contents(base_path('core/src/Spec/SpecSheetReader.php')), $faults);
    $asked = array_unique([...$asked, ...array_map(fn (string $fault): string => "spec.{$fault}", $faults[1])]);

    expect(count($asked))->toBeGreaterThan(35)
        ->and(array_values(array_diff($asked, array_keys(wording()))))->toBe([]);
});

it('words reasons in the units of the person', function (UnitSystem $units, string $expected): void {
    $cell = (object) [
        'reading_id' => 'x', 'result' => 'measured', 'millimetres' => '365.125000', 'verdict' => 'change', 'taken_at' => '2026-03-01',
        'reasons' => '[{"code":"under_limit","ref_mm":368.3}]',
    ];
    expect((new Wording(new LengthPrinter($units)))->reasons(CurrentReading::fromRow($cell)))->toBe($expected);
})->with([
    [UnitSystem::Inch, '1/8 in under the limit of 14 1/2 in.'],
    [UnitSystem::Metric, '3.2 mm under the limit of 368.3 mm.'],
]);

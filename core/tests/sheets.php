<?php

declare(strict_types=1);

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\SpecSheetReader;

/* What the tests of core share: the typical sheets as they ship, and judging by them. */

/** @return array<string, mixed> */
function typicalSheet(RowUnitType $type = RowUnitType::Vacuum): array
{
    return json_decode((string) file_get_contents(__DIR__."/../specs/{$type->value}.json"), true, 16, JSON_THROW_ON_ERROR);
}

/** A planter that carries everything there is, or other equipment. */
function sheetFor(?Equipment $equipment = null): Sheet
{
    return SpecSheetReader::read(typicalSheet())->for($equipment ?? Equipment::of(['meter' => 'vacuum', 'drive' => 'ground', 'downforce' => 'hydraulic', 'coulter' => true, 'fertilizer' => true, 'liquid' => true, 'central_fill' => true, 'markers' => true, 'lift_assist' => true], RowUnitType::Vacuum));
}

/** @return list<string> the verdict, then the codes of its reasons */
function words(Judgement $judgement): array
{
    return [$judgement->verdict->value, ...array_map(fn (Reason $reason): string => $reason->code->value, $judgement->reasons)];
}

/**
 * @param  string|null  $turnsAt  from here on a reading will not last the season
 * @param  list<string>  $rows  what the planter's rows read
 * @return list<string> the verdict, then the codes of its reasons
 */
function judged(Sheet $sheet, CheckKey $key, string $typed, ?string $turnsAt = null, array $rows = []): array
{
    $check = $sheet->checks[$key->value];
    $read = fn (string $one): Quantity => $check->unit->read($one, UnitSystem::Inch);
    $outlook = $turnsAt === null ? null : new SeasonOutlook($read($turnsAt), Unit::Percent->quantity(20_000));
    $background = Background::ofRows($outlook, array_map($read, $rows));

    return words($check->judge(Answer::figure($read($typed)), $background));
}

/** @return list<string> */
function found(CheckKey $key, State $state, Chip ...$chips): array
{
    return words(sheetFor()->checks[$key->value]->judge(Answer::state($state, array_values($chips)), Background::of()));
}

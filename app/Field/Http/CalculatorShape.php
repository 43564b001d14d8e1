<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\CalcInput;
use Ustrel\Core\Field\Calc\CalcLine;
use Ustrel\Core\Field\Calc\Calculation;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\UnitSystem;

#[OA\Schema(schema: 'Calculator', required: ['key', 'inputs'], properties: [
    new OA\Property(property: 'key', type: 'string', enum: Calculation::class),
    new OA\Property(property: 'inputs', type: 'array', items: new OA\Items(required: ['key', 'unit', 'list', 'whole', 'may_lack', 'value', 'setting'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'unit', description: 'In words', type: 'string'),
        new OA\Property(property: 'list', description: 'Several figures', type: 'boolean'),
        new OA\Property(property: 'whole', type: 'boolean'),
        new OA\Property(property: 'may_lack', type: 'boolean'),
        new OA\Property(property: 'value', description: 'As the record knows it', type: 'array', items: new OA\Items(type: 'number'), nullable: true),
        new OA\Property(property: 'setting', description: 'That it can be kept as', type: 'string', enum: SettingKey::class, nullable: true),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'Worked', required: ['lines', 'formula'], properties: [
    new OA\Property(property: 'lines', type: 'array', items: new OA\Items(required: ['key', 'number', 'said', 'amiss', 'keep'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'number', description: 'Of several lines of a kind: which row, tank or choice', type: 'number', nullable: true),
        new OA\Property(property: 'said', description: 'With its unit, and how far it may be off', type: 'string'),
        new OA\Property(property: 'amiss', type: 'boolean'),
        new OA\Property(property: 'keep', description: 'The setting that it can be kept as', required: ['key', 'value', 'figure'], properties: [
            new OA\Property(property: 'key', type: 'string', enum: SettingKey::class),
            new OA\Property(property: 'value', type: 'string'),
            new OA\Property(property: 'figure', type: 'number', nullable: true),
        ], type: 'object', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'formula', description: 'With the figures in it', type: 'string'),
])]
final class CalculatorShape
{
    private const PLACES = 4;

    /**
     * @param  array<string, list<float>|float>  $known
     * @return array<string, mixed>
     */
    public static function asks(Calculation $calculation, array $known, UnitSystem $system): array
    {
        $words = new FigureWords($system);

        return ['key' => $calculation->value, 'inputs' => array_map(static fn (CalcInput $input): array => [
            'key' => $input->key, 'unit' => $words->unit($input->unit), 'list' => $input->isList, 'whole' => $input->isWhole, 'may_lack' => $input->mayLack,
            'value' => isset($known[$input->key]) ? array_map(static fn (float $one): float => self::typed($input->unit->show($one, $system)), (array) $known[$input->key]) : null,
            'setting' => $input->setting?->value,
        ], $calculation->inputs())];
    }

    /**
     * @param  array<string, list<float>|float|null>  $in
     * @param  list<CalcLine>  $lines
     * @return array<string, mixed>
     */
    public static function worked(Calculation $calculation, array $in, array $lines, UnitSystem $system): array
    {
        $words = new FigureWords($system);
        $fills = [];
        foreach ($calculation->inputs() as $input) {
            $value = $in[$input->key] ?? null;
            $fills[$input->key] = $value === null ? '?' : implode(', ', array_map(static fn (float $one): string => $words->bare($one, $input->unit), (array) $value));
        }
        foreach ($lines as $line) {
            $fills["_{$line->key}"] ??= $line->figure === null ? $line->text : $words->said($line->figure, $line->unit);
        }
        $formula = "calc_formula_metric.{$calculation->value}";
        $formula = $system === UnitSystem::Metric && __($formula) !== $formula ? $formula : "calc_formula.{$calculation->value}";

        return ['lines' => array_map(static fn (CalcLine $line): array => self::line($line, $words, $system), $lines), 'formula' => __($formula, $fills)];
    }

    /** As somebody would type it: to five figures that count, and no whole ones lost. */
    private static function typed(float $figure): float
    {
        return round($figure, max(0, 4 - (int) floor(log10(max(abs($figure), 0.001)))));
    }

    /** @return array<string, mixed> */
    private static function line(CalcLine $line, FigureWords $words, UnitSystem $system): array
    {
        $isCode = $line->key === 'suspect' || $line->key === 'rows_alike';
        $figure = $line->figure === null ? null : round($line->unit->show($line->figure->value, $system), self::PLACES);

        return [
            'key' => $line->key, 'number' => $line->number, 'amiss' => $line->isAmiss,
            'said' => $line->figure === null ? ($isCode ? __("calc_said.{$line->text}") : $line->text) : $words->said($line->figure, $line->unit),
            'keep' => $line->keeps === null ? null : ['key' => $line->keeps->value, 'value' => $line->keeps->unit() === null ? ($line->figure === null ? $line->text : $words->bare($line->figure, CalcUnit::Plain)) : '', 'figure' => $line->keeps->unit() === null ? null : $figure],
        ];
    }
}

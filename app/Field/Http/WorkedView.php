<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Http\Api\Schema;
use Ustrel\Core\Field\Calc\CalcLine;
use Ustrel\Core\Field\Calc\Calculation;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\UnitSystem;

final readonly class WorkedView extends Schema
{
    private const PLACES = 4;

    public function __construct(
        /**
         * @var list<array{
         *     key: string,
         *     number: float|null, // Of several lines of a kind: which row, tank or choice
         *     said: string, // With its unit, and how far it may be off
         *     amiss: bool,
         *     keep: array{key: SettingKey, value: string, figure: float|null}|null, // The setting that it can be kept as
         * }>
         */
        public array $lines,
        /** With the figures in it */
        public string $formula,
    ) {
    }

    /**
     * @param  array<string, list<float>|float|null>  $in
     * @param  list<CalcLine>  $lines
     */
    public static function of(Calculation $calculation, array $in, array $lines, UnitSystem $system): self
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

        return new self(lines: array_map(static fn (CalcLine $line): array => self::line($line, $words, $system), $lines), formula: __($formula, $fills));
    }

    /** @return array{key: string, number: float|null, said: string, amiss: bool, keep: array{key: SettingKey, value: string, figure: float|null}|null} */
    private static function line(CalcLine $line, FigureWords $words, UnitSystem $system): array
    {
        $isCode = $line->key === 'suspect' || $line->key === 'rows_alike';
        $figure = $line->figure === null ? null : round($line->unit->show($line->figure->value, $system), self::PLACES);

        return [
            'key' => $line->key, 'number' => $line->number, 'amiss' => $line->isAmiss,
            'said' => $line->figure === null ? ($isCode ? __("calc_said.{$line->text}") : $line->text) : $words->said($line->figure, $line->unit),
            'keep' => $line->keeps === null ? null : ['key' => $line->keeps, 'value' => $line->keeps->unit() === null ? ($line->figure === null ? $line->text : $words->bare($line->figure, CalcUnit::Plain)) : '', 'figure' => $line->keeps->unit() === null ? null : $figure],
        ];
    }
}

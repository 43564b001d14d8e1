<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Setting;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Dig\ClosingPressure;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\DepthScale;

/** Says figures of the field in words: `24,000 ± 900 seeds/acre`. */
final readonly class FigureWords
{
    /** Figures that nothing says otherwise of are given to so many places that count. */
    private const SIGNIFICANT = 4;

    public function __construct(private UnitSystem $system)
    {
    }

    public function unit(CalcUnit $unit): string
    {
        return $unit === CalcUnit::Plain ? '' : __($this->system === UnitSystem::Metric ? "calc_unit_metric.{$unit->value}" : "calc_unit.{$unit->value}");
    }

    /** With its unit. */
    public function said(Measured|float $figure, CalcUnit $unit): string
    {
        return rtrim($this->bare($figure, $unit).($unit === CalcUnit::Percent ? '' : ' ').$this->unit($unit));
    }

    public function bare(Measured|float $figure, CalcUnit $unit): string
    {
        $figure = $figure instanceof Measured ? $figure : Measured::of($figure);
        [$value, $half] = Measured::of($unit->show($figure->value, $this->system), $unit->show($figure->sd, $this->system))->said();
        if ($half === null) {
            return self::number($value, $unit === CalcUnit::Percent ? 1 : max(0, self::SIGNIFICANT - 1 - (int) floor(log10(max(abs($value), 0.001)))));
        }
        $places = max(0, 1 - (int) floor(log10($half)));

        return self::number($value, $places).' ± '.self::number($half, $places);
    }

    /** So much of something on an acre, or on a hectare. */
    public function an(float $anAcre, string $unit): string
    {
        return self::number($this->anArea($anAcre), 1)." {$unit}/".$this->unit(CalcUnit::Acre);
    }

    public function anArea(float $anAcre): float
    {
        return CalcUnit::PlantsAnAcre->show($anAcre, $this->system);
    }

    public static function closing(ClosingPressure $of): string
    {
        return (string) trans_choice($of->isShared ? "closing_move.{$of->move->value}" : "closing_move.{$of->move->value}_rows", count($of->rows), ['rows' => implode(', ', $of->rows)]);
    }

    public function setting(Setting $setting): string
    {
        $unit = $setting->key->unit();
        $said = match (true) {
            $unit === null => $setting->value,
            $setting->depth_scale !== null => self::depth((float) $setting->figure, $setting->depth_scale),
            default => $this->said((float) $setting->figure, $unit),
        };

        return $unit === null || $setting->value === '' ? $said : "{$said} ({$setting->value})";
    }

    /** `5 notches`, `hole 3`, `2.125 in`. */
    public static function depth(float $figure, DepthScale $scale): string
    {
        return (string) trans_choice("depth_at.{$scale->value}", $figure === 1.0 ? 1 : 2, ['figure' => self::number($figure, 3)]);
    }

    private static function number(float $value, int $places): string
    {
        $said = number_format($value, $places);

        return str_replace('-', '−', str_contains($said, '.') ? rtrim(rtrim($said, '0'), '.') : $said);
    }
}

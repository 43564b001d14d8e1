<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\Field\Settings\SettingKey;

/** One line of what a calculator found: a figure with its unit, or words such as sprockets. Worded under `calc_line.<key>`. */
final readonly class CalcLine
{
    /** @param  float|int  $number  tells lines of one kind apart, such as rows or tanks */
    private function __construct(
        public string $key,
        public ?Measured $figure,
        public CalcUnit $unit,
        public string $text = '',
        public float|int|null $number = null,
        /** The setting that it can be kept as. */
        public ?SettingKey $keeps = null,
        public bool $isAmiss = false,
    ) {
    }

    public static function figure(string $key, Measured|float $figure, CalcUnit $unit = CalcUnit::Plain, int|float|null $number = null, ?SettingKey $keeps = null, bool $isAmiss = false): self
    {
        return new self($key, $figure instanceof Measured ? $figure : Measured::of($figure), $unit, number: $number, keeps: $keeps, isAmiss: $isAmiss);
    }

    /** @param  string  $text  figures alone, such as teeth; or a code that is worded */
    public static function said(string $key, string $text, ?SettingKey $keeps = null, int|float|null $number = null): self
    {
        return new self($key, null, CalcUnit::Plain, $text, $number, $keeps);
    }
}

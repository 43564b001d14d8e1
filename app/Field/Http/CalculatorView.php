<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Http\Api\Schema;
use Ustrel\Core\Field\Calc\CalcInput;
use Ustrel\Core\Field\Calc\Calculation;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Measure\UnitSystem;

final readonly class CalculatorView extends Schema
{
    public function __construct(
        public Calculation $key,
        /**
         * @var list<array{
         *     key: string,
         *     unit: string, // In words
         *     list: bool, // Several figures
         *     whole: bool,
         *     may_lack: bool,
         *     value: list<float>|null, // As the record knows it
         *     setting: SettingKey|null, // That it can be kept as
         * }>
         */
        public array $inputs,
    ) {
    }

    /**
     * @param  array<string, list<float>|float>  $known
     */
    public static function of(Calculation $calculation, array $known, UnitSystem $system): self
    {
        $words = new FigureWords($system);

        return new self(key: $calculation, inputs: array_map(static fn (CalcInput $input): array => [
            'key' => $input->key, 'unit' => $words->unit($input->unit), 'list' => $input->isList, 'whole' => $input->isWhole, 'may_lack' => $input->mayLack,
            'value' => isset($known[$input->key]) ? array_map(static fn (float $one): float => self::typed($input->unit->show($one, $system)), (array) $known[$input->key]) : null,
            'setting' => $input->setting,
        ], $calculation->inputs()));
    }

    /** As somebody would type it: to five figures that count, and no whole ones lost. */
    private static function typed(float $figure): float
    {
        return round($figure, max(0, 4 - (int) floor(log10(max(abs($figure), 0.001)))));
    }
}

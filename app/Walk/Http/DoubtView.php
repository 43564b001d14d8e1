<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Board;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Plausibility;

final readonly class DoubtView extends Schema
{
    public function __construct(
        /** Worded under doubt.CODE in lang/en */
        public string $code,
        public float $ref,
        public Unit $unit,
        /** Values below are hard to believe */
        public ?float $below,
        /** Values above are hard to believe */
        public ?float $above,
    ) {
    }

    public static function of(Doubt $doubt): self
    {
        $unit = $doubt->reference->unit();
        $value = static fn (?int $steps): ?float => $steps === null ? null : $steps / $unit->stepsPerUnit();

        return new self($doubt->code->value, $unit->valueOf($doubt->reference), $unit, $value($doubt->below), $value($doubt->above));
    }

    /** @return list<self> */
    public static function ofPlace(Check $check, ?Quantity $last): array
    {
        return array_map(self::of(...), Plausibility::ofPlace($check->rule, $last));
    }

    /** @return array<string, self> what the other rows make hard to believe, by check key, or by key and row where rows have the check otherwise than most */
    public static function ofRows(Board $board): array
    {
        $doubt = static fn (Check $check): ?Doubt => Plausibility::ofRows($board->figuresOf($check), $check->countOn($board->rowCount));
        $doubts = array_map($doubt, $board->sheet->checks);
        foreach ($board->rowChecks() as $check) {
            $doubts += array_fill_keys(array_map(static fn (int $row): string => "{$check->key->value} {$row}", $check->rows ?? []), $doubt($check));
        }

        return array_map(self::of(...), array_filter($doubts));
    }
}

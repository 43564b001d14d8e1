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

    /** @return array<string, self> what the other rows make hard to believe, by check key */
    public static function ofRows(Board $board): array
    {
        $doubts = [];
        foreach (array_intersect_key($board->figures(), $board->sheet->checks) as $check => $readings) {
            $doubts[$check] = Plausibility::ofRows($readings, $board->rowCount * count($board->sheet->checks[$check]->sides));
        }

        return array_map(self::of(...), array_filter($doubts));
    }
}

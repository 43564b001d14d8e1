<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Figure;

final readonly class FigureView extends Schema
{
    public function __construct(
        public float $value,
        public Unit $unit,
        public string $typed,
        public string $source,
    ) {
    }

    public static function of(Figure $figure): self
    {
        $unit = $figure->quantity->unit();

        return new self(
            value: $unit->valueOf($figure->quantity),
            unit: $unit,
            typed: $figure->typed,
            source: $figure->source,
        );
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Something with a size: a Length or an Amount. Kept as a whole number of small steps, so that a limit is met exactly or not at all. */
interface Quantity
{
    public function unit(): Unit;

    /** Nanometres of a length, thousandths of an amount's unit. */
    public function steps(): int;

    /** What was typed, where a person typed it. */
    public function asTyped(): ?string;
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

use Ustrel\Core\Field\Calc\SprocketSet;

/** What explains that rows are off the rate they are set to. Worded under `rate_cause.<code>`. */
final readonly class RateCause
{
    private function __construct(
        /** @var 'skips'|'doubles'|'drive_wheel'|'sprockets'|'chart'|'cells'|'gearing'|'rate_entered'|'slip'|'shared_drive'|'meter'|'sensor'|'unknown' */
        public string $code,
        /** Sprockets that would plant what was found, where they are looked at one by one. */
        public ?SprocketSet $in = null,
        /** What is to be put in their place. */
        public ?SprocketSet $wanted = null,
        public ?int $cells = null,
        public ?int $wantedCells = null,
    ) {
    }

    /** @param  'skips'|'doubles'|'drive_wheel'|'gearing'|'rate_entered'|'slip'|'shared_drive'|'meter'|'sensor'|'unknown'  $code */
    public static function of(string $code): self
    {
        return new self($code);
    }

    public static function sprockets(SprocketSet $in, SprocketSet $wanted): self
    {
        return new self('sprockets', $in, $wanted);
    }

    /** What should be in is in, and does not give the rate: the sprockets that would. */
    public static function chart(SprocketSet $in, SprocketSet $wanted): self
    {
        return new self('chart', $in, $wanted);
    }

    public static function cells(int $in, int $wanted): self
    {
        return new self('cells', cells: $in, wantedCells: $wanted);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Spec\CheckKey;

/** How far a reading may be off: how well it can be measured, and how coarsely it is read. Typical values. */
final readonly class ReadingError
{
    /**
     * @param  float  $sd  of the measuring itself, millimetres
     * @param  float  $step  that it is read to, millimetres
     */
    public function __construct(
        public float $sd,
        public float $step,
    ) {
    }

    public static function of(CheckKey $check): self
    {
        return match ($check) {
            // Two cards slid in until they stop, and a tape between them.
            CheckKey::BladeContactLength => new self(1.5, 25.4 / 8),
            // A caliper.
            CheckKey::GuardWidth, CheckKey::ChainLength => new self(0.3, 25.4 / 64),
            CheckKey::ArmPlayVertical, CheckKey::ArmPlaySide, CheckKey::GaugeArmPlay, CheckKey::ClosingTailPlay => new self(0.4, 25.4 / 32),
            default => new self(0.6, 25.4 / 16),
        };
    }

    /** Square millimetres: SD^2 + step^2 / 12, the variance of a uniform error of rounding. */
    public function variance(): float
    {
        return $this->sd ** 2 + $this->step ** 2 / 12;
    }
}

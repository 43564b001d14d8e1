<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/**
 * A figure with its uncertainty, one standard deviation, as it goes through a formula: errors that have nothing to do with each
 * other add by their squares (JCGM 100, Guide to the expression of uncertainty in measurement, 5.1.2, to first order).
 */
final readonly class Measured
{
    /** An interval of two standard deviations holds about 95 %. */
    private const COVERAGE = 2;

    private function __construct(
        public float $value,
        /** 0 where it is exact. */
        public float $sd,
    ) {
    }

    public static function of(float $value, float $sd = 0.0): self
    {
        return new self($value, abs($sd));
    }

    /** Something that was counted: as often as not it would have been so many more or fewer (Poisson). */
    public static function counted(int $count): self
    {
        return new self($count, sqrt($count));
    }

    public function minus(self $other): self
    {
        return new self($this->value - $other->value, hypot($this->sd, $other->sd));
    }

    public function times(self|float $other): self
    {
        $other = $other instanceof self ? $other : self::of($other);

        return new self($this->value * $other->value, hypot($this->sd * $other->value, $other->sd * $this->value));
    }

    public function over(self|float $other): self
    {
        $other = $other instanceof self ? $other : self::of($other);
        $value = $this->value / $other->value;

        return new self($value, hypot($this->sd / $other->value, $value * $other->sd / $other->value));
    }

    /** Half the width of the interval that holds it 19 times in 20; null where it is exact. */
    public function plusMinus(): ?float
    {
        return $this->sd > 0.0 ? self::COVERAGE * $this->sd : null;
    }

    /**
     * As it is said: the interval to a figure or two, the value no finer than that.
     *
     * @return array{float, float|null} such as 24,000 and 900
     */
    public function said(): array
    {
        $half = $this->plusMinus();
        if ($half === null) {
            return [$this->value, null];
        }
        // One that begins with 1 or 2 is said with two figures, any other with one.
        $places = -(int) floor(log10($half));
        $places += $half * 10 ** $places < 3 ? 1 : 0;

        return [round($this->value, $places), round($half, $places)];
    }
}

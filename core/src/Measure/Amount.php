<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/**
 * A count, a pressure, an angle or a mark on a scale, kept in thousandths of its unit. What was typed stays with it for
 * the record; it takes no part in comparison.
 */
final readonly class Amount implements Quantity
{
    public const STEPS_PER_UNIT = 1000;

    private function __construct(
        private int $thousandths,
        private Unit $unit,
        private ?string $typed = null,
    ) {
    }

    public static function ofThousandths(int $thousandths, Unit $unit): self
    {
        return new self($thousandths, $unit);
    }

    /**
     * Reads `18`, `18.5 in H2O`, `45 mbar`, `-0,5°`, `7`.
     *
     * @param  UnitSystem  $system  whose unit a bare number is in
     *
     * @throws UnreadableNumber
     */
    public static function read(string $typed, Unit $unit, UnitSystem $system): self
    {
        $name = $unit->spelling($system);
        $own = $unit->spellings()[mb_strtolower($name)] ?? 1.0;
        $reader = new NumberReader(
            array_map(static fn (float $factor): float => $factor / $own, $unit->spellings()), $unit->lowest() / self::STEPS_PER_UNIT / $own,
            $unit->highest() / self::STEPS_PER_UNIT / $own, $unit->isWhole(), $name,
        );
        $thousandths = (int) round($reader->read($typed) * $own * self::STEPS_PER_UNIT);

        return new self($thousandths, $unit, $typed);
    }

    public function unit(): Unit
    {
        return $this->unit;
    }

    public function steps(): int
    {
        return $this->thousandths;
    }

    public function asTyped(): ?string
    {
        return $this->typed;
    }
}

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
     * @throws UnreadableAmount
     */
    public static function read(string $typed, Unit $unit, UnitSystem $system): self
    {
        $text = mb_strtolower(trim((string) preg_replace('/\s+/', ' ', strtr($typed, ["\u{00A0}" => ' ', '−' => '-', '₂' => '2']))));
        if ($text === '') {
            throw UnreadableAmount::of($typed, AmountFault::Empty, $unit);
        }
        if (preg_match('/^(?<number>[+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)) ?(?<unit>[^\d\s.,+-].*)?$/u', $text, $found) !== 1) {
            throw UnreadableAmount::of($typed, AmountFault::NotANumber, $unit);
        }

        $spelled = trim($found['unit'] ?? '') ?: mb_strtolower($unit->spelling($system));
        $factor = $spelled === '' ? 1.0 : $unit->spellings()[$spelled] ?? throw UnreadableAmount::of($typed, AmountFault::UnknownUnit, $unit);
        $value = (float) strtr($found['number'], ',', '.') * $factor;
        if ($value * self::STEPS_PER_UNIT < $unit->lowest() || $value * self::STEPS_PER_UNIT > $unit->highest()) {
            throw UnreadableAmount::of($typed, AmountFault::OutOfRange, $unit);
        }
        $thousandths = (int) round($value * self::STEPS_PER_UNIT);
        if ($unit->isWhole() && $thousandths % self::STEPS_PER_UNIT !== 0) {
            throw UnreadableAmount::of($typed, AmountFault::NotWhole, $unit);
        }

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

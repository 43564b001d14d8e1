<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Emergence;

use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;

/**
 * What a shop says that a crop yields at each stand: its own figures, straight from one to the next. Beyond them it says nothing.
 */
final readonly class YieldCurve
{
    private const FEWEST = 2;

    private const MOST = 12;

    private const STANDS = [500.0, 2_000_000.0];

    private const MOST_YIELD = 1_000_000.0;

    /** @param  non-empty-list<array{float, float}>  $points  plants an acre and what an acre yields, by plants */
    private function __construct(public array $points)
    {
    }

    /**
     * @param  list<array{float, float}>  $points  plants an acre and what an acre yields, in any order
     *
     * @throws InvalidYield
     */
    public static function of(array $points): self
    {
        usort($points, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        foreach ($points as $at => [$plants, $yield]) {
            if ($plants < self::STANDS[0] || $plants > self::STANDS[1] || $yield < 0 || $yield > self::MOST_YIELD) {
                throw InvalidYield::because('range', "{$plants} {$yield}");
            }
            if ($at > 0 && $plants <= $points[$at - 1][0]) {
                throw InvalidYield::because('twice', (string) $plants);
            }
        }

        return count($points) < self::FEWEST || count($points) > self::MOST ? throw InvalidYield::because('count', (string) count($points)) : new self($points);
    }

    /**
     * `26,000 180; 30,000 192; 34k 200`: plants and what they yield, between semicolons.
     *
     * @param  float  $acres  that the area which both are told for has: 1, or 2.471 where it is a hectare
     * @param  NumberStyle|null  $style  of the workshop
     *
     * @throws InvalidYield
     */
    public static function read(string $typed, float $acres = 1.0, ?NumberStyle $style = null): self
    {
        $points = [];
        foreach (preg_split('/[;\n]+/', $typed, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            // The yield is the last of the two.
            if (preg_match('/^\s*(?<plants>.*?[\dk])\s*(?:[:=]|\s)\s*(?<yield>[\d.,]+)\s*$/iu', $part, $found) !== 1) {
                throw InvalidYield::because('point', trim($part));
            }
            try {
                $plants = (new NumberReader(['k' => 1000.0], self::STANDS[0] * $acres, self::STANDS[1] * $acres, style: $style))->read($found['plants']);
                $points[] = [$plants / $acres, (new NumberReader(lowest: 0, highest: self::MOST_YIELD, style: $style))->read($found['yield']) / $acres];
            } catch (UnreadableNumber $unreadable) {
                throw $unreadable->isNoNumber() ? InvalidYield::because('point', trim($part)) : InvalidYield::number($unreadable);
            }
        }

        return self::of($points);
    }

    /** What an acre yields at so many plants; null beyond what was said. */
    public function at(float $plants): ?float
    {
        foreach ($this->points as $at => [$to, $yield]) {
            if ($plants === $to) {
                return $yield;
            }
            if ($plants < $to) {
                [$from, $before] = $this->points[$at - 1] ?? [null, null];

                return $from === null || $before === null ? null : $before + ($yield - $before) * ($plants - $from) / ($to - $from);
            }
        }

        return null;
    }
}

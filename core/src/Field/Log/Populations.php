<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;

/** Seeds an acre that were set on a field, and what they were changed to on the way. */
final readonly class Populations
{
    private const LEAST = 500;

    private const MOST = 2_000_000;

    private const MOST_ACRES = 10_000;

    private const ACRES_PER_HECTARE = 2.4710538146716534;

    /** @param  non-empty-array<array{from: float, population: int}>  $parts  acres behind which each holds, from 0 up */
    private function __construct(public array $parts)
    {
    }

    /**
     * @param  list<array{from: float, population: int}>  $parts
     *
     * @throws UnreadableLog where they do not begin at 0, do not go up, or one is no population
     */
    public static function of(array $parts): self
    {
        $behind = -1.0;
        foreach ($parts as $at => ['from' => $from, 'population' => $population]) {
            if ($population < self::LEAST || $population > self::MOST) {
                throw UnreadableLog::because('population', (string) $population);
            }
            if ($from <= $behind || ($at === 0) !== ($from === 0.0)) {
                throw UnreadableLog::because('population_order', (string) $from);
            }
            $behind = $from;
        }

        return $parts === [] ? throw UnreadableLog::because('population', '') : new self($parts);
    }

    /**
     * `34,000`, or with changes: `34000; 32000 from 40 ac; 30k from 55 ac`.
     *
     * @param  NumberStyle|null  $style  of the workshop
     *
     * @throws UnreadableLog
     */
    public static function read(string $typed, ?NumberStyle $style = null): self
    {
        $parts = [];
        foreach (preg_split('/[;\n]+/', $typed, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            if (preg_match('#^\s*(?:then\s+)?(?<set>.+?)(?:\s+from\s+(?<from>.+?))?\s*$#iu', $part, $found) !== 1) {
                throw UnreadableLog::because('population', trim($part));
            }
            try {
                $population = (new NumberReader(self::units(), self::LEAST, self::MOST, style: $style))->read($found['set']);
                $from = isset($found['from']) ? (new NumberReader(['ac' => 1.0, 'acre' => 1.0, 'acres' => 1.0, 'ha' => self::ACRES_PER_HECTARE], 0, self::MOST_ACRES, style: $style))->read($found['from']) : 0.0;
            } catch (UnreadableNumber $unreadable) {
                throw $unreadable->isNoNumber() ? UnreadableLog::because('population', trim($part)) : UnreadableLog::number($unreadable);
            }
            $parts[] = ['from' => round($from, 3), 'population' => (int) round($population)];
        }

        return self::of($parts);
    }

    /** @return array<string, float> how people write seeds an acre */
    private static function units(): array
    {
        $units = [];
        foreach (['' => 1.0, 'k' => 1000.0] as $times => $factor) {
            foreach (['/ac' => 1.0, '/acre' => 1.0, '/ha' => 1 / self::ACRES_PER_HECTARE, '' => 1.0] as $area => $of) {
                foreach (['', 'seeds', ' seeds', 'seed'] as $seeds) {
                    $units["{$times}{$seeds}{$area}"] = $factor * $of;
                    $units[trim("{$times}{$seeds} {$area}")] = $factor * $of;
                }
            }
        }
        unset($units['']);

        return $units;
    }

    /**
     * Seeds that went out.
     *
     * @param  float  $acres  of the field, by its log
     */
    public function seeds(float $acres): float
    {
        $seeds = 0.0;
        foreach ($this->parts as $at => ['from' => $from, 'population' => $population]) {
            $to = min($acres, $this->parts[$at + 1]['from'] ?? $acres);
            $seeds += max(0.0, $to - $from) * $population;
        }

        return $seeds;
    }

    /** As it is read again by a workshop of that style. */
    public function said(NumberStyle $style = NumberStyle::Point): string
    {
        $mark = $style === NumberStyle::Point ? ',' : '.';

        return implode('; ', array_map(static fn (array $part): string => number_format($part['population'], thousands_separator: $mark).($part['from'] > 0 ? " from {$style->write($part['from'])} ac" : ''), $this->parts));
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

/** Seeds an acre that were set on a field, and what they were changed to on the way. */
final readonly class Populations
{
    private const LEAST = 500;

    private const MOST = 2_000_000;

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
     * @throws UnreadableLog
     */
    public static function read(string $typed): self
    {
        $parts = [];
        foreach (preg_split('/[;\n]+/', $typed, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $isRead = preg_match('#^\s*(?:then\s+)?([\d.,\s]+k?)\s*(?:seeds?)?(?:\s*/\s*(ac|acre|ha))?(?:\s+from\s+(\d+(?:[.,]\d+)?)\s*(ac|acres?|ha)?)?\s*$#iu', $part, $found) === 1;
            $population = $isRead ? self::number($found[1]) : null;
            if ($population === null) {
                throw UnreadableLog::because('population', trim($part));
            }
            $from = isset($found[3]) && $found[3] !== '' ? (float) strtr($found[3], ',', '.') * (strtolower($found[4] ?? '') === 'ha' ? self::ACRES_PER_HECTARE : 1) : 0.0;
            $parts[] = ['from' => round($from, 3), 'population' => (int) round(strtolower($found[2] ?? '') === 'ha' ? $population / self::ACRES_PER_HECTARE : $population)];
        }

        return self::of($parts);
    }

    /** 34,000 and 34.000 and 34 000 are as many; 34k and 33.5k are thousands. */
    private static function number(string $typed): ?float
    {
        $typed = trim($typed);
        if (preg_match('/^(\d{1,4})(?:[.,](\d))?\s*k$/i', $typed, $found) === 1) {
            return 1000 * (float) ("{$found[1]}.".($found[2] ?? '0'));
        }

        return preg_match('/^(\d{1,7}|\d{1,3}(?:[.,\s]\d{3}){1,2})$/', $typed) === 1 ? (float) preg_replace('/\D/', '', $typed) : null;
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

    public function said(): string
    {
        return implode('; ', array_map(static fn (array $part): string => number_format($part['population']).($part['from'] > 0 ? ' from '.rtrim(rtrim(number_format($part['from'], 3, '.', ''), '0'), '.').' ac' : ''), $this->parts));
    }
}

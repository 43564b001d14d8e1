<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/** One moment, as a monitor tells it: docs/formats.md, row monitor. */
final readonly class MonitorLine
{
    private const MOST_MS = 2_592_000_000;

    private const MOST_MPH = 30.0;

    /**
     * @param  int  $ms  of the monitor's own clock
     * @param  array<string, list<float|null>>  $values  by what is watched, from row 1 on; null where the sensor said nothing that can be
     * @param  array<string, list<int>>  $jumped  rows whose sensor said what cannot be, by what is watched
     * @param  list<int>  $off  rows that are shut off on purpose
     * @param  array<string, float>  $targets  that are set, by what is watched
     */
    private function __construct(
        public int $ms,
        public float $mph,
        public bool $isDown,
        public array $values,
        public array $jumped,
        public array $off,
        public array $targets,
    ) {
    }

    /**
     * @param  mixed  $told  the line's JSON, as arrays
     * @param  int  $rows  of the planter
     *
     * @throws InvalidWatch
     */
    public static function of(mixed $told, int $rows): self
    {
        is_array($told) && is_bool($told['down'] ?? null) || throw InvalidWatch::line();
        is_int($told['ms'] ?? null) && $told['ms'] >= 0 && $told['ms'] <= self::MOST_MS || throw InvalidWatch::ms();
        self::within($told['mph'] ?? null, self::MOST_MPH) || throw InvalidWatch::mph();
        [$values, $jumped] = [[], []];
        foreach (Watched::cases() as $of) {
            if (isset($told[$of->value])) {
                [$values[$of->value], $jumped[$of->value]] = self::read($told[$of->value], $of, $rows);
            }
        }
        $off = $told['off'] ?? [];
        is_array($off) && array_is_list($off) || throw InvalidWatch::off();
        foreach ($off as $row) {
            is_int($row) && $row >= 1 && $row <= $rows || throw InvalidWatch::off();
        }
        $targets = $told['target'] ?? [];
        $set = [];
        is_array($targets) || throw InvalidWatch::target();
        foreach ($targets as $of => $figure) {
            $watched = Watched::tryFrom((string) $of);
            $watched?->stops() && self::within($figure, $watched->most()) && $figure > 0 || throw InvalidWatch::target();
            $set[$watched->value] = (float) $figure;
        }

        return new self($told['ms'], (float) $told['mph'], $told['down'], $values, array_filter($jumped), array_values(array_unique($off)), $set);
    }

    /**
     * @return array{list<float|null>, list<int>} the figures, and the rows whose figure cannot be
     *
     * @throws InvalidWatch
     */
    private static function read(mixed $told, Watched $of, int $rows): array
    {
        is_array($told) && array_is_list($told) && count($told) === $rows || throw InvalidWatch::rows();
        [$values, $jumped] = [[], []];
        foreach ($told as $at => $figure) {
            $figure === null || is_int($figure) || is_float($figure) || throw InvalidWatch::rows();
            $isFit = $figure !== null && $figure >= 0 && $figure <= $of->most();
            $values[] = $isFit ? (float) $figure : null;
            if ($figure !== null && ! $isFit) {
                $jumped[] = $at + 1;
            }
        }

        return [$values, $jumped];
    }

    /** @phpstan-assert-if-true int|float $figure */
    private static function within(mixed $figure, float $most): bool
    {
        return (is_int($figure) || is_float($figure)) && $figure >= 0 && $figure <= $most;
    }
}

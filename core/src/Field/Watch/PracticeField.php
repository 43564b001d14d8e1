<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

/**
 * A made-up field, for practice: a planter goes up and down it with turns, at a speed that wanders, and something goes wrong after some
 * minutes. The same number tells the same at the same second, whichever is asked first. It shares nothing with how rows are watched.
 */
final readonly class PracticeField
{
    /** Seconds of a pass, and of the turn behind it. */
    private const PASS = 210;

    private const TURN = 25;

    /** The fault comes after so many seconds. */
    public const FAULT_AFTER = 700;

    private const TARGET = 34_000.0;

    private const MPH = 5.0;

    /** @param  list<int>  $struck  rows that the fault strikes */
    public function __construct(
        private int $rows,
        private int $number,
        private PracticeFault $fault = PracticeFault::None,
        private array $struck = [1],
    ) {
    }

    /**
     * One moment, in the words of the protocol: docs/formats.md, row monitor.
     *
     * @param  int  $second  since the run began, from 0 on
     * @return array<string, mixed>
     */
    public function at(int $second): array
    {
        $inPass = $second % (self::PASS + self::TURN);
        if ($inPass >= self::PASS) {
            return ['ms' => 1000 * $second, 'mph' => 3.2, 'down' => false];
        }
        $mph = (self::MPH + 0.35 * $this->wandering('speed', 0, $second, 40)) * min(1.0, 0.6 + 0.1 * $inPass);
        $figures = [];
        for ($row = 1; $row <= $this->rows; $row++) {
            foreach ($this->row($row, $second, $mph) as $of => $figure) {
                $figures[$of][] = $figure;
            }
        }

        return ['ms' => 1000 * $second, 'mph' => round($mph, 2), 'down' => true, 'target' => ['population' => self::TARGET]] + $figures;
    }

    /** @return array<string, float|null> */
    private function row(int $row, int $second, float $mph): array
    {
        $isStruck = $second >= self::FAULT_AFTER && ($this->fault === PracticeFault::Whole || in_array($row, $this->struck, true));
        $seed = match ($isStruck ? $this->fault : PracticeFault::None) {
            PracticeFault::Plugged => 0.0,
            PracticeFault::Slips, PracticeFault::Whole => 0.96,
            PracticeFault::Shared => 0.95,
            default => 1.0,
        };
        $places = self::TARGET * 2.5 / 43_560 * $mph * 1.467;
        $missed = $this->few('skip', $row, $second, $places * (0.012 + 0.006 * $this->unit('worn', $row, 0)));
        $twice = $this->few('double', $row, $second, $places * 0.007);
        $seeds = $seed * self::TARGET * (1 + ($twice - $missed) / $places) * (1 + 0.01 * $this->normal('own', $row, 0) + 0.006 * $this->wandering('ground', $row, $second, 20) + 0.02 * $this->normal('count', $row, $second));
        $flow = 10.0 * (1 + 0.03 * $this->normal('orifice', $row, 0) + 0.02 * $this->wandering('flow', $row, $second, 15) + 0.01 * $this->normal('drop', $row, $second)) * ($isStruck && $this->fault === PracticeFault::Column ? 0.15 : 1.0);

        return [
            'population' => match (true) {
                $isStruck && $this->fault === PracticeFault::Silent => null,
                $isStruck && $this->fault === PracticeFault::Jumps && $second % 4 === 0 => 9_999_999.0,
                default => round(max(0.0, $seeds), -1),
            },
            'skips' => $seed === 0.0 ? 100.0 : round(100 * $missed / $places, 1),
            'doubles' => $seed === 0.0 ? 0.0 : round(100 * $twice / $places, 1),
            'downforce' => round(150 + 8 * $this->normal('spring', $row, 0) + 25 * $this->wandering('bumps', $row, $second, 3)),
            'flow' => round($flow, 2),
        ];
    }

    /** How many of what comes seldom come in this second: inverse of the Poisson distribution. */
    private function few(string $what, int $row, int $second, float $mean): int
    {
        $left = $this->unit($what, $row, $second);
        $chance = exp(-$mean);
        for ($count = 0; $left > $chance && $count < 20; $count++) {
            $left -= $chance;
            $chance *= $mean / ($count + 1);
        }

        return $count;
    }

    /** Goes up and down over so many seconds: straight from one chance figure to the next. */
    private function wandering(string $what, int $row, int $second, int $over): float
    {
        $share = $second % $over / $over;
        $from = intdiv($second, $over);

        return (1 - $share) * $this->normal($what, $row, $from) + $share * $this->normal($what, $row, $from + 1);
    }

    private function normal(string $what, int $row, int $at): float
    {
        return sqrt(-2 * log($this->unit("{$what} length", $row, $at))) * cos(2 * M_PI * $this->unit("{$what} turn", $row, $at));
    }

    /** Between 0 and 1, by chance, and the same each time. */
    private function unit(string $what, int $row, int $at): float
    {
        return (hexdec(substr(hash('xxh32', "{$this->number} {$what} {$row} {$at}"), 0, 8)) + 0.5) / 4_294_967_296;
    }
}

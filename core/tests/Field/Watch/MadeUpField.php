<?php

declare(strict_types=1);

namespace Ustrel\Core\Tests\Field\Watch;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A field as no formula has it: passes and turns, a speed that wanders and jumps, rows that differ, seeds that are missed and doubled one
 * by one, ground that hangs together along the row and across half of the planter, outliers, heavy tails, curves, a rate that is changed
 * on the way, and a monitor that smooths.
 */
final class MadeUpField
{
    /** What a world can have; the rest is as here. */
    public const USUAL = ['rows' => 16, 'ground' => 0.008, 'seconds' => 15.0, 'shared' => 0.3, 'noise' => 0.03, 'smooths' => 0.6, 'outliers' => 0.002, 'tails' => false, 'curves' => false, 'rates' => false, 'tells' => false];

    private readonly Randomizer $random;

    /** @var array{rows: int, ground: float, seconds: float, shared: float, noise: float, smooths: float, outliers: float, tails: bool, curves: bool, rates: bool, tells: bool} */
    private readonly array $world;

    private int $second = 0;

    private float $pass;

    private float $turn = 0.0;

    private float $speed = 5.0;

    private float $mph = 5.0;

    private float $rate = 34_000.0;

    /** Seeds an acre that come where another rate was set: a drive takes some seconds. */
    private float $drives = 34_000.0;

    private float $bend = 0.0;

    /** @var array<int, array{bias: float, skips: float, doubles: float, spring: float, orifice: float, ground: float, bumps: float, told: float}> */
    private array $rows = [];

    /** @param  array<string, mixed>  $world */
    public function __construct(array $world, int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->world = $world + self::USUAL;
        for ($row = 0; $row < $this->world['rows']; $row++) {
            $this->rows[$row] = ['bias' => 0.012 * $this->normal(), 'skips' => max(0.002, 0.015 + 0.005 * $this->normal()), 'doubles' => max(0.001, 0.008 + 0.003 * $this->normal()),
                'spring' => 150 + 8 * $this->normal(), 'orifice' => 0.03 * $this->normal(), 'ground' => 0.0, 'bumps' => 0.0, 'told' => 0.0];
        }
        $this->pass = 60 + 300 * $this->unit();
    }

    /**
     * One second.
     *
     * @param  array<int, float>  $loses  share of the seed, by row from 1 on
     * @return array<string, mixed> as a monitor tells it
     */
    public function second(array $loses = []): array
    {
        $this->second++;
        if ($this->turn > 0) {
            $this->turn--;

            return ['ms' => 1000 * $this->second, 'mph' => 3.0, 'down' => false];
        }
        if (--$this->pass <= 0) {
            [$this->turn, $this->pass, $this->speed, $this->mph] = [20 + 20 * $this->unit(), 60 + 300 * $this->unit(), 5 + 0.5 * $this->normal(), 3.5];
            $this->bend = $this->world['curves'] && $this->unit() < 0.4 ? 0.02 * $this->normal() : 0.0;
        }
        $this->speed = $this->unit() < 0.01 ? 5 + 0.6 * $this->normal() : $this->speed;
        $this->mph += 0.25 * ($this->speed - $this->mph) + 0.05 * $this->normal();
        $this->rate = $this->world['rates'] && $this->unit() < 0.01 ? 28_000 + 8_000 * $this->unit() : $this->rate;
        $this->drives += 0.4 * ($this->rate - $this->drives);
        $told = ['ms' => 1000 * $this->second, 'mph' => round($this->mph, 2), 'down' => true] + ($this->world['tells'] ? ['target' => ['population' => round($this->rate)]] : []);
        $halves = [$this->normal(), $this->normal()];
        foreach (array_keys($this->rows) as $row) {
            foreach ($this->row($row, $halves[2 * $row < $this->world['rows'] ? 0 : 1], $loses[$row + 1] ?? 0.0) as $of => $figure) {
                $told[$of][] = $figure;
            }
        }

        return $told;
    }

    /** @return array<string, float> */
    private function row(int $number, float $half, float $loses): array
    {
        $world = $this->world;
        $row = &$this->rows[$number];
        $keeps = exp(-1 / $world['seconds']);
        $row['ground'] = $keeps * $row['ground'] + sqrt(1 - $keeps ** 2) * (sqrt(1 - $world['shared']) * $this->normal() + sqrt($world['shared']) * $half);
        $row['bumps'] = 0.9 * $row['bumps'] + sqrt(1 - 0.81) * $this->normal();
        $places = $this->rate * 2.5 / 43_560 * $this->mph * 1.467;
        $skips = $this->few($places * max(0.0005, $row['skips'] * (1 + 0.3 * ($this->mph - 5))));
        $doubles = $this->few($places * $row['doubles']);
        $place = ($number - ($world['rows'] - 1) / 2) / ($world['rows'] / 2);
        $seeds = ($this->world['tells'] ? $this->drives : $this->rate) * exp($row['bias'] + $world['ground'] * $row['ground']) * (1 + ($doubles - $skips) / $places + $row['skips'] - $row['doubles'])
            * (1 + $this->bend * sin($this->second / 150) * $place) * (1 + $world['noise'] * $this->scatter()) * (1 - $loses) * ($this->unit() < $world['outliers'] ? 0.6 + 0.8 * $this->unit() : 1.0);
        $row['told'] = $row['told'] > 0 ? $world['smooths'] * $row['told'] + (1 - $world['smooths']) * $seeds : $seeds;

        return ['population' => round($row['told'], -1), 'skips' => round(100 * $skips / $places, 1), 'doubles' => round(100 * $doubles / $places, 1),
            'downforce' => round(max(0.0, $row['spring'] + 6 * $row['ground'] + 15 * $row['bumps'] + 10 * $this->scatter())), 'flow' => round(10 * exp($row['orifice'] + 0.02 * $row['bumps']) * (1 + 0.04 * $this->scatter()), 2)];
    }

    /** Of the Poisson distribution, by products. */
    private function few(float $mean): int
    {
        $count = 0;
        for ($left = $this->unit(); $left > exp(-$mean); $left *= $this->unit()) {
            $count++;
        }

        return $count;
    }

    private function scatter(): float
    {
        return $this->world['tails'] ? $this->normal() / sqrt(max(0.15, ($this->normal() ** 2 + $this->normal() ** 2 + $this->normal() ** 2 + $this->normal() ** 2) / 4)) / 1.3 : $this->normal();
    }

    private function unit(): float
    {
        return ($this->random->getInt(0, 2 ** 30 - 1) + 0.5) / 2 ** 30;
    }

    private function normal(): float
    {
        return sqrt(-2 * log($this->unit())) * cos(2 * M_PI * $this->unit());
    }
}

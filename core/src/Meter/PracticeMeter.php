<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Wear\Normal;

/**
 * A meter that is made up, for practice and for trying the analysis on: a cell holds its seed where the air at the hole is more
 * than that seed needs, and a second one where it is a good deal more and the singulator does not take it off. The same meter
 * with the same number drops the same seeds at the same times. It shares nothing with the curves that advice goes by.
 */
final readonly class PracticeMeter
{
    /** A seed of five millimetres on a hole of two fifths of that is held best at six inches of water. */
    private const AIR = 6.0;

    private const SIZE = 5.0;

    private const HOLE = 0.4;

    /** Half of all seeds are held at so much of the best air, and a second one at so much more. */
    private const HELD = 0.62;

    private const SECOND = 1.6;

    private const SPREAD = 0.14;

    /** From so many turns a minute on seeds find their cells less well. */
    private const CALM = 30.0;

    private const WITHOUT_LUBRICANT = 1.2;

    /** Seeds drop off the beat by so much of a place. */
    private const BOUNCE = 0.06;

    /** Whatever the air, a cell comes past where there is no seed. */
    private const STARVED = 0.001;

    /**
     * @param  int  $cells  of the disc, 1 to 400
     * @param  float  $turns  a minute, over 0
     * @param  float  $air  inches of water at the gauge
     * @param  float  $size  of the seed, millimetres
     * @param  float  $spread  of its size, as a share
     * @param  float  $hole  of the disc, millimetres
     * @param  float  $singulator  0 is open, 1 closed
     * @param  float  $leak  0 is a new seal, 1 one that is gone
     * @param  array<int, float>  $missing  how often a cell misses whatever the air, by number of the cell: 1 is plugged
     *
     * @throws InvalidRun
     */
    public function __construct(
        public int $cells,
        public float $turns,
        public float $air,
        public float $size = 5.0,
        public float $spread = 0.1,
        public float $hole = 2.0,
        public float $singulator = 0.5,
        public float $leak = 0.0,
        public array $missing = [],
        public bool $isLubricated = true,
    ) {
        $cells >= 1 && $cells <= 400 || throw InvalidRun::cells();
        $turns > 0 && $size > 0 && $hole > 0 || throw InvalidRun::pace();
    }

    /** Milliseconds from one cell to the next. */
    public function every(): float
    {
        return 60_000 / ($this->turns * $this->cells);
    }

    /** Chance that a cell that is whole comes by empty. */
    public function skips(): float
    {
        return self::STARVED + (1 - self::STARVED) * Normal::under(log(self::HELD * $this->best() / $this->held()) / $this->scatter());
    }

    /** Chance that one brings two. */
    public function doubles(): float
    {
        return (1 - 0.8 * $this->singulator) * Normal::under(log($this->held() / (self::SECOND * $this->best())) / $this->scatter());
    }

    /** The air at the hole at which this seed is held best. */
    private function best(): float
    {
        $speed = 1 + 0.3 * max(0.0, $this->turns / self::CALM - 1);

        return self::AIR * ($this->size / self::SIZE) ** 1.6 * (self::HOLE * $this->size / $this->hole) * $speed * ($this->isLubricated ? 1.0 : self::WITHOUT_LUBRICANT);
    }

    private function held(): float
    {
        return $this->air * (1 - 0.4 * $this->leak);
    }

    private function scatter(): float
    {
        return sqrt(self::SPREAD ** 2 + $this->spread ** 2);
    }

    /**
     * @param  int  $places  so many cells come past
     * @return list<float> milliseconds of each seed since the run began, none before the one ahead of it
     */
    public function drops(int $places, int $number): array
    {
        $random = new Randomizer(new Mt19937($number));
        $unit = static fn (): float => ($random->getInt(0, 2 ** 30 - 1) + 0.5) / 2 ** 30;
        [$every, $skips, $doubles] = [$this->every(), $this->skips(), $this->doubles()];
        $times = [];
        for ($place = 0; $place < $places; $place++) {
            $bounce = self::BOUNCE * sqrt(-2 * log($unit())) * cos(2 * M_PI * $unit());
            [$empty, $second, $apart] = [$unit(), $unit(), $unit()];
            if ($empty < max($skips, $this->missing[$place % $this->cells] ?? 0.0)) {
                continue;
            }
            $times[] = max(0.0, ($place + $bounce) * $every);
            if ($second < $doubles) {
                $times[] = ($place + $bounce + 0.05 + 0.2 * $apart) * $every;
            }
        }
        sort($times);

        return $times;
    }
}

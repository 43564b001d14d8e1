<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter\Air;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Meter\Heavy;
use Ustrel\Core\Meter\InvalidRun;
use Ustrel\Core\Spec\Aims;

/**
 * The air at which skips and doubles together are least, by the runs of one set-up: skips fall and doubles rise with air, each
 * by curves of their own (AirCurve). Advised is what is expected to lose least, which is not where both are alike. The same runs
 * give the same advice.
 */
final readonly class AirAdvice
{
    private const DRAWS = 300;

    /** Runs that could be made next are tried in thought, each so often. */
    private const TRIALS = 10;

    private const NEXT = 9;

    /** Airs that are looked at. */
    private const AIRS = 61;

    private const PLACES = 500;

    /** Air is set to a tenth of an inch of water at best. */
    private const STEP = 0.1;

    private const LEAST = 0.5;

    private const MOST = 60.0;

    /** Beyond what was tried lines are followed so far, as a share of it. */
    private const BELOW = 0.6;

    private const BEYOND = 1.6;

    /** A run that is expected to win less than this, as a share of places, is not worth the seed. */
    private const WORTH = 0.0003;

    private const SURE = 0.8;

    private const SEED = 14;

    /**
     * @param  float  $air  advised, inches of water
     * @param  float  $low  the best air lies over this nine times in ten
     * @param  float  $high  and under this nine times in ten
     * @param  float  $skips  share of places, to be expected at the advised air
     * @param  float  $doubles  the same
     * @param  bool  $isInSight  the best air lies among those that were tried, more likely than not
     * @param  'more'|'less'|null  $way  where it lies, four times in five, if it is not in sight; null where that cannot be told
     * @param  float|null  $next  the air worth trying next; null where another run is not expected to win anything
     * @param  float  $gain  share of places that a run there is expected to win
     * @param  Heavy|null  $heavy  what air alone does not put right, four times in five
     */
    private function __construct(
        public float $air,
        public float $low,
        public float $high,
        public float $skips,
        public float $doubles,
        public bool $isInSight,
        public ?string $way,
        public ?float $next,
        public float $gain,
        public ?Heavy $heavy,
        /** @var list<array{float, float, float}> air, and the shares of skips and doubles that are to be expected there */
        public array $curve,
    ) {
    }

    /**
     * @param  list<AirRun>  $runs  of one set-up: the same meter, disc, seed, singulator and speed
     * @param  float  $singulation  that is good for this seed, as a share
     *
     * @throws InvalidRun
     */
    public static function of(array $runs, float $singulation = Aims::SINGULATION): self
    {
        $runs !== [] || throw InvalidRun::noRuns();
        $tried = array_map(static fn (AirRun $run): float => $run->air, $runs);
        $middle = array_sum($tried) / count($tried);
        $skips = AirCurve::of(array_map(static fn (AirRun $run): array => [$run->air, $run->counts->places, $run->counts->skips], $runs), $middle, -1);
        $doubles = AirCurve::of(array_map(static fn (AirRun $run): array => [$run->air, $run->counts->places, $run->counts->doubles], $runs), $middle, 1);
        $airs = self::between(max(self::LEAST, self::BELOW * min($tried)), min(self::MOST, self::BEYOND * max($tried)));
        // What skips and doubles tell of each other is nothing: each curve of the one may go with each of the other.
        $others = (new Randomizer(new Mt19937(self::SEED)))->shuffleArray($doubles->drawn(self::DRAWS, $airs));
        $pairs = $wrong = [];
        foreach ($skips->drawn(self::DRAWS, $airs) as $draw => $skip) {
            $pairs[] = [$skip, $others[$draw]];
            $wrong[] = array_map(static fn (float $one, float $other): float => $one + $other, $skip, $others[$draw]);
        }
        $best = array_map(static fn (array $of): float => $airs[self::least($of)], $wrong);
        sort($best);
        $at = static fn (float $share): float => $best[(int) round($share * (count($best) - 1))];
        $share = static fn (callable $is): float => count(array_filter($best, $is)) / count($best);
        [$below, $above] = [$share(static fn (float $one): bool => $one < min($tried)), $share(static fn (float $one): bool => $one > max($tried))];
        $isInSight = count($runs) > 1 && $below + $above < 0.5;
        $air = self::advised($skips, $doubles, $airs);
        [$next, $gain] = self::next($pairs, $wrong, $airs, $at(0.05), $at(0.95));

        return new self(
            round($air, 1), $at(0.1), $at(0.9), $skips->expected($air), $doubles->expected($air), $isInSight,
            match (true) {
                $isInSight => null,
                $above >= self::SURE => 'more',
                $below >= self::SURE => 'less',
                default => null,
            },
            $gain >= self::WORTH ? round($next, 1) : null, $gain, self::heavy($pairs, $wrong, 1 - $singulation),
            array_map(static fn (float $of): array => [$of, $skips->expected($of), $doubles->expected($of)], array_values(array_filter($airs, static fn (int $at): bool => $at % 2 === 0, ARRAY_FILTER_USE_KEY))),
        );
    }

    /**
     * @param  float  $air  inches of water, within what the curve covers
     * @return array{float, float} shares of skips and of doubles that are to be expected there
     */
    public function expectedAt(float $air): array
    {
        [$from, $to] = [$this->curve[0], $this->curve[0]];
        foreach ($this->curve as $point) {
            [$from, $to] = $point[0] <= $air ? [$point, $point] : [$from, $to[0] > $air ? $to : $point];
        }
        $share = $to[0] > $from[0] ? ($air - $from[0]) / ($to[0] - $from[0]) : 0.0;

        return [$from[1] + $share * ($to[1] - $from[1]), $from[2] + $share * ($to[2] - $from[2])];
    }

    /** @param  non-empty-list<float>  $airs */
    private static function advised(AirCurve $skips, AirCurve $doubles, array $airs): float
    {
        $wrong = static fn (float $air): float => $skips->expected($air) + $doubles->expected($air);
        $all = array_map($wrong, $airs);
        $air = $airs[self::least($all)];
        $least = $all[self::least($all)];
        // Closer, between the airs on either side.
        for ($step = ($airs[1] - $airs[0]) / 2; $step >= self::STEP / 4; $step /= 2) {
            foreach ([$air - $step, $air + $step] as $near) {
                if ($near >= $airs[0] && $near <= end($airs) && $wrong($near) < $least) {
                    [$air, $least] = [$near, $wrong($near)];
                }
            }
        }

        return $air;
    }

    /** @param  list<float>  $of */
    private static function least(array $of): int
    {
        $least = 0;
        foreach ($of as $at => $one) {
            $least = $one < $of[$least] ? $at : $least;
        }

        return $least;
    }

    /** @return non-empty-list<float> */
    private static function between(float $from, float $to): array
    {
        return array_map(static fn (int $at): float => $from + ($to - $from) * $at / (self::AIRS - 1), range(0, self::AIRS - 1));
    }

    /**
     * Tries airs in thought: what a run there could show, and how much less would go wrong by what is then believed.
     *
     * @param  list<array{list<float>, list<float>}>  $pairs  shares of skips and of doubles by air
     * @param  list<list<float>>  $wrong  both together
     * @param  non-empty-list<float>  $airs
     * @return array{float, float} the air, and the gain
     */
    private static function next(array $pairs, array $wrong, array $airs, float $low, float $high): array
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        // By air, what goes wrong by each pair; every second will do to choose from.
        $chosen = array_filter(array_keys($airs), static fn (int $at): bool => $at % 2 === 0);
        $byAir = array_map(static fn (int $at): array => array_column($wrong, $at), $chosen);
        $now = min(INF, ...array_map(static fn (array $of): float => array_sum($of) / count($of), array_values($byAir)));
        $best = [$airs[0], 0.0];
        $could = array_values(array_filter(array_keys($airs), static fn (int $at): bool => $airs[$at] >= $low && $airs[$at] <= $high));
        foreach ($could as $index => $at) {
            if ($index % max(1, intdiv(count($could), self::NEXT)) !== 0) {
                continue;
            }
            $sum = 0.0;
            for ($trial = 0; $trial < self::TRIALS; $trial++) {
                $true = $pairs[$random->getInt(0, count($pairs) - 1)];
                [$skips, $doubles] = [self::poisson($random, self::PLACES * $true[0][$at]), self::poisson($random, self::PLACES * $true[1][$at])];
                $logs = array_map(static fn (array $pair): float => AirCurve::likelihood($skips, self::PLACES, $pair[0][$at]) + AirCurve::likelihood($doubles, self::PLACES, $pair[1][$at]), $pairs);
                $most = max(-INF, ...$logs);
                $weights = array_map(static fn (float $log): float => exp($log - $most), $logs);
                $sum += min(INF, ...array_map(static fn (array $of): float => array_sum(array_map(static fn (float $one, float $weight): float => $one * $weight, $of, $weights)), array_values($byAir))) / array_sum($weights);
            }
            $gain = $now - $sum / self::TRIALS;
            $best = $gain > $best[1] ? [$airs[$at], $gain] : $best;
        }

        return $best;
    }

    /** Over 0 and under 1. */
    private static function unit(Randomizer $random): float
    {
        return ($random->getInt(0, 2 ** 30 - 1) + 0.5) / 2 ** 30;
    }

    /** Knuth's way, for means as small as these; of large ones the normal near it. */
    private static function poisson(Randomizer $random, float $mean): int
    {
        if ($mean > 50) {
            $normal = sqrt(-2 * log(1 - self::unit($random))) * cos(2 * M_PI * self::unit($random));

            return min(self::PLACES, max(0, (int) round($mean + sqrt($mean) * $normal)));
        }
        [$count, $left, $least] = [-1, 1.0, exp(-$mean)];
        do {
            $left *= self::unit($random);
            $count++;
        } while ($left > $least);

        return $count;
    }

    /**
     * @param  list<array{list<float>, list<float>}>  $pairs
     * @param  list<list<float>>  $wrong
     */
    private static function heavy(array $pairs, array $wrong, float $good): ?Heavy
    {
        $bad = $skips = 0;
        foreach ($wrong as $draw => $of) {
            $at = self::least($of);
            if ($of[$at] > $good) {
                $bad++;
                $skips += $pairs[$draw][0][$at] / $of[$at];
            }
        }
        if ($bad < self::SURE * count($wrong)) {
            return null;
        }

        return match (true) {
            $skips / $bad > 2 / 3 => Heavy::Skips,
            $skips / $bad < 1 / 3 => Heavy::Doubles,
            default => Heavy::Both,
        };
    }
}

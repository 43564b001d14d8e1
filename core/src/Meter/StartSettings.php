<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Ustrel\Core\Meter\Air\AirAdvice;
use Ustrel\Core\Meter\Air\AirRun;
use Ustrel\Core\Spec\Aims;

/**
 * The singulator step and the air to start a meter with, by the shop's own runs of seed of the same size on the same disc
 * (domain, 24). A place to start from, not a verdict: the meter is run with its seed all the same.
 */
final readonly class StartSettings
{
    /** Runs of seed that is known less well join until there are so many. */
    private const ENOUGH = 3;

    /** What a step is believed to get wrong before it ran: one place of fifty, as surely as fifty seeds tell. */
    private const BELIEVED = [1, 50];

    /** How well it is known that the seed is of the same size, the best first. */
    private const STRENGTHS = ['same', 'measured', 'meant', 'estimated'];

    /**
     * @param  float|null  $air  inches of water, within what was tried; null where no run tells
     * @param  'more'|'less'|null  $way  where the best air lies, if beyond what was tried
     * @param  'same'|'measured'|'meant'|'estimated'  $by  how the least alike of the seed is known to be of the same size: the same lot, by caliper, by the class on the tag, by seeds per pound
     * @param  float  $skips  share of places, to be expected
     * @param  float  $doubles  the same
     * @param  int  $runs  that it goes by
     * @param  list<string>  $lots  that they ran with, by key
     */
    private function __construct(
        public string $singulator,
        public ?float $air,
        public ?string $way,
        public string $by,
        public float $skips,
        public float $doubles,
        public int $runs,
        public array $lots,
    ) {
    }

    /**
     * @param  string  $lot  key of the seed that is to run
     * @param  list<PastRun>  $runs  on the same disc, in meters of the same kind; the newest first
     * @return self|null null where no run had seed of its size
     */
    public static function of(string $lot, TagSeed $seed, array $runs, float $singulation = Aims::SINGULATION): ?self
    {
        [$alike, $by] = self::alike($lot, $seed, $runs);
        $best = null;
        foreach (self::bySingulator($alike) as $step) {
            $start = self::step($step, $by, $singulation);
            $best = $best === null || $start->skips + $start->doubles < $best->skips + $best->doubles ? $start : $best;
        }

        return $best;
    }

    /**
     * @param  list<PastRun>  $runs
     * @return array{list<PastRun>, 'same'|'measured'|'meant'|'estimated'}
     */
    private static function alike(string $lot, TagSeed $seed, array $runs): array
    {
        $alike = [];
        $by = 'same';
        foreach (self::STRENGTHS as $strength) {
            $more = array_filter($runs, static fn (PastRun $run): bool => ($run->lot === $lot ? 'same' : $run->seed->sizedLike($seed)) === $strength);
            if ($more !== [] && count($alike) < self::ENOUGH) {
                [$alike, $by] = [[...$alike, ...array_values($more)], $strength];
            }
        }

        return [$alike, $by];
    }

    /**
     * @param  list<PastRun>  $runs
     * @return array<string, non-empty-list<PastRun>>
     */
    private static function bySingulator(array $runs): array
    {
        $steps = [];
        foreach ($runs as $run) {
            $steps[mb_strtolower(trim($run->singulator))][] = $run;
        }

        return $steps;
    }

    /**
     * @param  non-empty-list<PastRun>  $runs  of one singulator step
     * @param  'same'|'measured'|'meant'|'estimated'  $by
     */
    private static function step(array $runs, string $by, float $singulation): self
    {
        $airs = array_values(array_filter($runs, static fn (PastRun $run): bool => $run->air !== null));
        $tried = array_map(static fn (PastRun $run): float => (float) $run->air, $airs);
        if ($airs !== [] && $tried !== [] && min($tried) < max($tried)) {
            $advice = AirAdvice::of(array_map(static fn (PastRun $run): AirRun => new AirRun((float) $run->air, $run->counts), $airs), $singulation);
            $air = min(max($advice->air, min($tried)), max($tried));
            [$skips, $doubles] = $advice->expectedAt($air);

            return self::from($airs, $air, $air === $advice->air ? null : ($advice->air > $air ? 'more' : 'less'), $by, $skips, $doubles);
        }
        [$wrong, $of] = self::BELIEVED;
        $places = $of + array_sum(array_map(static fn (PastRun $run): int => $run->counts->places, $runs));
        $share = static fn (callable $count): float => ($wrong / 2 + array_sum(array_map($count, $runs))) / $places;

        return self::from(
            $runs, $tried[0] ?? null, null, $by,
            $share(static fn (PastRun $run): int => $run->counts->skips), $share(static fn (PastRun $run): int => $run->counts->doubles),
        );
    }

    /**
     * @param  non-empty-list<PastRun>  $runs
     * @param  'more'|'less'|null  $way
     * @param  'same'|'measured'|'meant'|'estimated'  $by
     */
    private static function from(array $runs, ?float $air, ?string $way, string $by, float $skips, float $doubles): self
    {
        $lots = array_values(array_unique(array_map(static fn (PastRun $run): string => $run->lot, $runs)));

        return new self(trim($runs[0]->singulator), $air === null ? null : round($air, 1), $way, $by, $skips, $doubles, count($runs), $lots);
    }
}

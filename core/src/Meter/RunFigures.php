<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** What the seeds of a run tell, read in one go. A stand that stood still for a while went on: what lies between is not counted. */
final readonly class RunFigures
{
    /** Milliseconds: no meter that turns leaves so many places empty. */
    private const STOOD = 30_000.0;

    private const FEWEST = 3;

    private function __construct(
        public Counts $counts,
        /** Shares of spacings, by the standard. */
        public float $multipleIndex,
        public float $missIndex,
        public float $feedIndex,
        public ?float $precision,
        public BadCells $skipping,
        public BadCells $doubling,
        /** Milliseconds from one place to the next, as the seeds tell it. */
        public float $every,
    ) {
    }

    /**
     * @param  list<float>  $times  milliseconds of each seed
     * @param  float|null  $every  milliseconds from one cell to the next as it is set up; where the seeds say otherwise by more than a tenth they are believed
     * @param  int  $cells  of the disc or plate
     * @param  int  $most  places that are looked at
     *
     * @throws InvalidRun
     */
    public static function of(array $times, ?float $every, int $cells, int $most): self
    {
        $stretches = self::stretches($times);
        $longest = $stretches[0] ?? throw InvalidRun::fewDrops();
        foreach ($stretches as $stretch) {
            $longest = count($stretch) > count($longest) ? $stretch : $longest;
        }
        $seen = Drops::beat($longest);
        $beat = $every !== null && abs($seen / $every - 1) < 0.1 ? $every : $seen;
        $drops = Drops::of($longest, $beat);
        $places = $skips = $doubles = 0;
        foreach ($stretches as $stretch) {
            $counts = ($stretch === $longest ? $drops : Drops::of($stretch, $beat))->counts();
            [$places, $skips, $doubles] = [$places + $counts->places, $skips + $counts->skips, $doubles + $counts->doubles];
        }
        if ($places > $most && count($times) > self::FEWEST) {
            return self::of(array_slice($times, 0, max(self::FEWEST, count($times) - ($places - $most))), $every, $cells, $most);
        }
        $fell = $drops->seedsByPlace();

        return new self(
            new Counts($places, $skips, $doubles), $drops->multipleIndex(), $drops->missIndex(), $drops->feedIndex(), $drops->precision(),
            BadCells::of(array_map(static fn (int $seeds): bool => $seeds === 0, $fell), $cells), BadCells::of(array_map(static fn (int $seeds): bool => $seeds > 1, $fell), $cells), $seen,
        );
    }

    /**
     * @param  list<float>  $times
     * @return list<non-empty-list<float>> of three seeds at least
     */
    private static function stretches(array $times): array
    {
        $stretches = [[]];
        foreach ($times as $at => $time) {
            if ($at > 0 && ($time - $times[$at - 1] > self::STOOD || $time < $times[$at - 1])) {
                $stretches[] = [];
            }
            $stretches[array_key_last($stretches)][] = $time;
        }

        return array_values(array_filter($stretches, static fn (array $of): bool => count($of) >= self::FEWEST));
    }
}

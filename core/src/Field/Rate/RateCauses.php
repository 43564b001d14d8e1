<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

use Ustrel\Core\Field\Calc\InvalidFigure;
use Ustrel\Core\Field\Calc\SprocketBox;
use Ustrel\Core\Measure\Median;

/** Explains rows that are off by what turns them, by what the monitor counts, and by how their spacings lie: domain, 22. */
final readonly class RateCauses
{
    /** A wheel that slips plants fewer, by so much at most. */
    private const MOST_SLIP = 1.15;

    /** Ratios that a wrong sprocket or plate makes, where it is not known which are in. */
    private const PLAIN = [2.0, 1 / 2, 4 / 3, 3 / 2];

    /** Mistakes that fit are told up to so many. */
    private const MOST = 3;

    /** Of fewer spacings it is not told whether seeds are missing among them. */
    private const FEWEST = 8;

    /** @param  array<int, float>  $monitor  population set over population counted, by row */
    public function __construct(
        private DriveKnown $drive,
        private array $monitor,
        private RateBand $band,
    ) {
    }

    /**
     * @param  list<int>  $rows
     * @param  list<float>  $ratios  spacings of these rows, each over what is set
     * @param  bool  $isProven  false where one row stands for all that were dug
     * @return non-empty-list<RateCause> the likeliest first
     */
    public function of(RateScope $scope, array $rows, Rate $rate, array $ratios, bool $isProven = true): array
    {
        $monitor = $this->monitored($rows);
        if (count($ratios) >= self::FEWEST && $this->isOfSeeds($rate->ratio, Median::of($ratios))) {
            return [RateCause::of($rate->ratio > 1 ? 'skips' : 'doubles')];
        }
        if ($scope === RateScope::Row) {
            $own = [RateCause::of($monitor === true ? 'sensor' : 'meter')];

            return $isProven ? $own : [...$own, ...$this->ofAll($rate, $monitor)];
        }

        return $scope === RateScope::All ? $this->ofAll($rate, $monitor) : [RateCause::of($monitor === true ? 'sensor' : 'shared_drive')];
    }

    /** @return non-empty-list<RateCause> */
    private function ofAll(Rate $rate, ?bool $monitor): array
    {
        $slips = $rate->ratio > 1 && $rate->ratio < self::MOST_SLIP && $this->drive->hasSprockets;
        $wheel = $rate->ratio > 1 && $this->drive->wheelTouches === false ? [RateCause::of('drive_wheel')] : [];
        if ($monitor === true) {
            // It would have seen wrong gearing; not slip, where it takes the distance from the same wheel.
            return [...$wheel, ...($slips ? [RateCause::of('slip')] : []), RateCause::of('sensor')];
        }
        $causes = [...$wheel, ...$this->gearing($rate), ...($slips ? [RateCause::of('slip')] : [])];

        return $causes ?: [RateCause::of($this->drive->hasSprockets ? 'unknown' : 'rate_entered')];
    }

    /** @return list<RateCause> the nearest first */
    private function gearing(Rate $rate): array
    {
        $found = [];
        $try = static function (float $ratio, RateCause $cause) use (&$found, $rate): void {
            if ($ratio >= $rate->low && $ratio <= $rate->high) {
                $found[] = [abs(log($ratio / $rate->ratio)), $cause];
            }
        };
        $now = $this->drive->hasSprockets ? $this->drive->sprockets : null;
        if ($now !== null) {
            foreach ($this->drive->oneMistakeAway() as $in) {
                $try($now->ratio() / $in->ratio(), RateCause::sprockets($in, $now));
            }
        }
        $cells = $this->drive->cells;
        if ($cells !== null) {
            foreach (array_unique($this->drive->otherCells) as $in) {
                $try($cells / $in, RateCause::cells($in, $cells));
            }
        }
        if ($found === [] && $this->drive->hasSprockets) {
            foreach (self::PLAIN as $ratio) {
                $try($ratio, RateCause::of('gearing'));
            }
        }
        usort($found, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $causes = array_column(array_slice($found, 0, self::MOST), 1);
        $chart = $causes === [] ? null : $this->chart($rate);

        return $chart === null ? $causes : [...$causes, $chart];
    }

    /** The sprockets to change to where those that should be in are. */
    private function chart(Rate $rate): ?RateCause
    {
        $now = $this->drive->hasSprockets ? $this->drive->sprockets : null;
        try {
            $near = $now === null || $this->drive->box === [] ? null : (new SprocketBox($this->drive->box))->nearest($now->ratio() * $rate->ratio, count($now->stages), $now)[0] ?? null;
        } catch (InvalidFigure) {
            return null;
        }
        if ($now === null || $near === null) {
            return null;
        }
        $by = $near->ratio() / $now->ratio();

        return $by >= $rate->low && $by <= $rate->high ? RateCause::chart($now, $near) : null;
    }

    /** Seeds are missing among others that lie as they should, or lie on top of each other: the middle spacing is nearer to what is set than to the mean. */
    private function isOfSeeds(float $mean, float $middle): bool
    {
        return ! $this->band->holds($mean) && abs(log($middle)) < abs(log($middle / $mean));
    }

    /**
     * @param  list<int>  $rows
     * @return bool|null whether the monitor counts what is set on them; null where it tells nothing of them
     */
    private function monitored(array $rows): ?bool
    {
        $told = array_intersect_key($this->monitor, array_flip($rows));

        return $told === [] ? null : $this->band->holds(Median::of(array_values($told)));
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

use ReflectionClass;
use ReflectionProperty;
use Ustrel\Core\Field\Watch\Drift\Curve;
use Ustrel\Core\Field\Watch\Drift\Drifts;
use Ustrel\Core\Field\Watch\Drift\FastLoss;
use Ustrel\Core\Field\Watch\Drift\FastRow;
use Ustrel\Core\Field\Watch\Drift\Peaks;
use Ustrel\Core\Field\Watch\Drift\RowScatter;
use Ustrel\Core\Field\Watch\Drift\SeedExplained;
use Ustrel\Core\Field\Watch\Drift\Stream;
use Ustrel\Core\Field\Watch\Drift\StreamKind;
use Ustrel\Core\Field\Watch\Drift\Whole;
use Ustrel\Core\Measure\Median;

/**
 * Watches the rows of a planter while it plants: what a monitor tells, moment by moment, goes in, and what the driver should know
 * comes out. Only moments in which it plants count: let down, moving, some seconds after letting down or after the speed changed.
 */
final class RowWatch
{
    /** Seconds of planting after which it is looked for what has stopped. */
    private const LOOK = 5.0;

    /** Seconds after letting down, or after a row was switched on, that tell nothing yet. */
    private const SETTLES = 5.0;

    /** Slower it stands, whatever the sensors say. */
    private const STANDS = 1.0;

    /** The speed changes where it is off its mean over some seconds by more than this share. */
    private const UNEVEN = 0.25;

    private const EVENS_OUT = 4.0;

    /** A longer silence of the monitor is a gap: nobody knows what was in it. */
    private const GAP = 5.0;

    private const HALF = 0.5;

    private const NOTHING = 0.1;

    private const AS_GOOD_AS = 0.7;

    /** So many of those that share something, and no other, have stopped by it. */
    private const MOST_OF = 0.8;

    /** A row that scatters much is low only where it is so by so many times its scatter. */
    private const SURE = 6.0;

    /** All that is kept of it from one request to the next. */
    private const KEPT = [self::class, Drifts::class, Whole::class, StreamKind::class, Stream::class, RowScatter::class, Peaks::class, Tally::class, Sensors::class, SeedExplained::class, Curve::class, FastLoss::class, FastRow::class, RowGroup::class, Watched::class, GroupKind::class];

    private ?int $last = null;

    private float $mph = 0.0;

    private float $settles = 0.0;

    private ?int $passFrom = null;

    private float $passFeet = 0.0;

    /** @var array<int, Tally> by seconds that are judged at once */
    private array $blocks;

    private Tally $look;

    private Tally $glance;

    private Tally $pass;

    private Sensors $sensors;

    private SeedExplained $explained;

    /** @var array<string, Drifts> by what is watched */
    private array $drifts = [];

    /** @var array<int, float> seconds until it tells something again, by row */
    private array $rowSettles = [];

    /** @var array<string, array<int, bool>> rows that bring less than half, by what is watched */
    private array $low = [];

    /** @var array<string, array<int, float>> over the last seconds of planting, by row, by what is watched */
    private array $lately = [];

    /** @var array<string, float> what all rows bring on the mean, by what is watched */
    private array $brings = [];

    /**
     * @param  float  $width  of the planter, feet
     * @param  list<RowGroup>  $groups
     * @param  float  $acres  of this planter to a false alarm, over 0
     */
    private function __construct(
        private readonly float $width,
        private readonly array $groups,
        private readonly float $acres,
    ) {
        [$this->look, $this->glance, $this->pass, $this->sensors, $this->explained] = [new Tally, new Tally, new Tally, new Sensors, new SeedExplained];
        foreach (Watched::cases() as $of) {
            $this->blocks[$of->block()] ??= new Tally;
        }
    }

    /**
     * @param  list<RowGroup>  $groups
     * @param  array<string, list<list<float|int>>>  $learned  as learned() of the run before gave it
     */
    public static function begin(float $width, array $groups, float $acres, array $learned = []): self
    {
        $watch = new self($width, $groups, $acres);
        foreach (Watched::cases() as $of) {
            $watch->drifts[$of->value] = Drifts::begin($of, $watch->sharing($of), $learned[$of->value] ?? null);
        }

        return $watch;
    }

    /** @param  list<int>  $shut  rows that somebody said are shut off on purpose */
    public function take(MonitorLine $line, array $shut = []): WatchNews
    {
        $seconds = $this->last === null ? 0.0 : ($line->ms - $this->last) / 1000;
        if ($this->last !== null && $seconds <= 0) {
            return new WatchNews;
        }
        $isGap = $seconds > self::GAP;
        $seconds = $isGap ? 0.0 : $seconds;
        $before = $this->last;
        $this->last = $line->ms;
        $isEven = $this->isEven($line->mph, $seconds, $isGap);
        if (! $line->isDown || $line->mph < self::STANDS) {
            return new WatchNews(pass: $line->isDown ? null : $this->close($before ?? $line->ms));
        }
        if ($this->passFrom === null || $isGap) {
            [$this->passFrom, $this->settles] = [$this->passFrom ?? $line->ms, self::SETTLES];
        }
        $this->passFeet += $line->mph * 5280 / 3600 * $seconds;
        $off = $this->off($line, $seconds, $shut);
        $alarms = $this->sensors->take($line, $seconds, $off);
        $this->settles = max(0.0, $this->settles - $seconds);
        if ($this->settles > 0 || ! $isEven) {
            return new WatchNews($alarms);
        }
        foreach ([...$this->blocks, $this->look, $this->glance, $this->pass] as $tally) {
            $tally->add($line, $seconds, $off);
        }

        return $this->judged($line, $alarms);
    }

    /** The last pass, where the run ends before it is lifted. */
    public function end(): ?PassSummary
    {
        return $this->last === null ? null : $this->close($this->last);
    }

    /**
     * What these rows are like now is how they are to be.
     *
     * @param  list<int>  $rows
     */
    public function accept(Watched $of, array $rows): void
    {
        $this->drifts[$of->value]->accept($rows);
    }

    /** @return array<string, array<int, float>> what each row brought over the last seconds of planting, by what is watched */
    public function lately(): array
    {
        return $this->lately;
    }

    /** @return array<string, list<list<float>>> what the rows taught, for the run after this, by what is watched */
    public function learned(): array
    {
        return array_map(static fn (Drifts $of): array => $of->learned(), $this->drifts);
    }

    private function isEven(float $mph, float $seconds, bool $isGap): bool
    {
        $this->mph = $this->mph === 0.0 || $isGap ? $mph : $this->mph + ($mph - $this->mph) * (1 - exp(-$seconds / self::EVENS_OUT));

        return abs($mph - $this->mph) <= self::UNEVEN * max($this->mph, self::STANDS);
    }

    /**
     * @param  list<int>  $shut
     * @return list<int> rows that tell nothing at this moment
     */
    private function off(MonitorLine $line, float $seconds, array $shut): array
    {
        $this->rowSettles = array_filter(array_map(static fn (float $left): float => $left - $seconds, $this->rowSettles), static fn (float $left): bool => $left > 0);
        foreach ([...$line->off, ...$shut] as $row) {
            $this->rowSettles[$row] = self::SETTLES;
        }

        return array_keys($this->rowSettles);
    }

    /** @param  list<RaisedAlarm>  $alarms */
    private function judged(MonitorLine $line, array $alarms): WatchNews
    {
        $back = [];
        if ($this->glance->seconds >= FastLoss::SECONDS) {
            foreach ([Watched::Population, Watched::Flow] as $of) {
                $alarms = [...$alarms, ...array_filter([$this->lost($of, $line)])];
            }
            $this->glance = new Tally;
        }
        if ($this->look->seconds >= self::LOOK) {
            foreach ([Watched::Population, Watched::Flow] as $of) {
                [$low, $backOf] = $this->looked($of, $line);
                [$alarms, $back] = [[...$alarms, ...$low], [...$back, ...$backOf]];
            }
            foreach (Watched::cases() as $of) {
                $this->lately[$of->value] = $this->look->means($of);
            }
            $this->look = new Tally;
        }
        foreach ($this->blocks as $seconds => $block) {
            if ($block->seconds >= $seconds) {
                $this->blocks[$seconds] = new Tally;
                foreach (Watched::cases() as $of) {
                    if ($of->block() === $seconds) {
                        $alarms = [...$alarms, ...array_filter([$this->drifted($of, $block, $line)])];
                        $back = [...$back, ...array_map(static fn (int $row): array => [$of, $row], $this->drifts[$of->value]->back())];
                    }
                }
            }
        }

        return new WatchNews($alarms, $back);
    }

    /**
     * Rows that bring less than half of what the others bring.
     *
     * @return array{list<RaisedAlarm>, list<array{Watched, int}>}
     */
    private function looked(Watched $of, MonitorLine $line): array
    {
        $means = $this->believed($of, $this->look->means($of));
        if ($means === []) {
            return [[], []];
        }
        $middle = Median::of($means);
        $brings = $this->brings[$of->value] ??= $middle;
        $level = $middle < self::NOTHING * $brings || count($means) < 3 ? $brings : $middle;
        $this->brings[$of->value] += 0.1 * ($level - $brings);
        $low = $back = [];
        foreach ($means as $row => $mean) {
            $expected = $level * (count($means) < 3 ? 1.0 : exp($this->drifts[$of->value]->usual($row)));
            $isSure = log(max($mean, 0.001) / max($expected, 0.001)) < -self::SURE * M_SQRT2 * $this->drifts[$of->value]->sd($row);
            if ($mean < self::HALF * $expected && $isSure) {
                if (! isset($this->low[$of->value][$row])) {
                    $low[$row] = [$expected, $mean];
                }
                $this->low[$of->value][$row] = true;
            } elseif ($mean > self::AS_GOOD_AS * $expected && isset($this->low[$of->value][$row])) {
                unset($this->low[$of->value][$row]);
                $back[] = [$of, $row];
            }
        }

        return [$low === [] ? [] : $this->stopped($of, $line->ms, $low, count($means)), $back];
    }

    /**
     * @param  non-empty-array<int, array{float, float}>  $low  what was to be expected and what is, by row
     * @param  int  $of  rows that were seen
     * @return list<RaisedAlarm>
     */
    private function stopped(Watched $watched, int $ms, array $low, int $of): array
    {
        $rows = array_keys($low);
        $group = null;
        foreach ($this->sharing($watched) as $number => $sharing) {
            if (count($rows) > 1 && array_diff($rows, $sharing) === [] && count($rows) >= self::MOST_OF * count($sharing)) {
                $group ??= $this->groups[$number];
            }
        }
        $together = $group !== null || (count($rows) === $of && $of > 1) ? [$rows] : array_map(static fn (int $row): array => [$row], $rows);

        return array_map(static function (array $rows) use ($watched, $ms, $low, $group): RaisedAlarm {
            [$expected, $is] = [0.0, 0.0];
            foreach ($rows as $row) {
                [$expected, $is] = [$expected + $low[$row][0] / count($rows), $is + $low[$row][1] / count($rows)];
            }

            return new RaisedAlarm($ms, $is < self::NOTHING * $expected ? AlarmKind::Stopped : AlarmKind::Low, $watched, $rows, $group, -1, $expected, $is, (int) self::LOOK);
        }, $together);
    }

    private function lost(Watched $of, MonitorLine $line): ?RaisedAlarm
    {
        $drifts = $this->drifts[$of->value];
        $means = array_diff_key($this->believed($of, $this->glance->means($of)), $this->low[$of->value] ?? []);
        $acresALook = $this->width * $this->mph * 5280 / 3600 * FastLoss::SECONDS / 43_560;
        $found = $drifts->fast($means, $this->acres / max($acresALook, 1e-6) * 2 * $drifts->fastStreams());

        return $found === null ? null : new RaisedAlarm($line->ms, AlarmKind::Drift, $of, $found['rows'], $found['group'] === null ? null : $this->groups[$found['group']], $found['direction'], $found['from'], $found['to'], FastLoss::SECONDS * $found['blocks']);
    }

    private function drifted(Watched $of, Tally $block, MonitorLine $line): ?RaisedAlarm
    {
        $means = $this->believed($of, $block->means($of));
        if ($of === Watched::Population) {
            $means = $this->explained->without($means, $this->believed(Watched::Skips, $block->means(Watched::Skips)), $this->believed(Watched::Doubles, $block->means(Watched::Doubles)));
        }
        // What has stopped is told already, and skips and doubles come with the seed.
        $stopped = $this->low[$of->stops() ? $of->value : ($of === Watched::Downforce ? '' : Watched::Population->value)] ?? [];
        $found = $this->drifts[$of->value]->block(array_diff_key($means, $stopped), $line->targets[$of->value] ?? null, $this->blocksToFalse($of));

        return $found === null ? null : new RaisedAlarm($line->ms, AlarmKind::Drift, $of, $found['rows'], $found['group'] === null ? null : $this->groups[$found['group']], $found['direction'], $found['from'], $found['to'], $of->block() * $found['blocks']);
    }

    /** Of one stream, so that those of all streams together come as seldom as is wanted for the planter. */
    private function blocksToFalse(Watched $of): float
    {
        $streams = array_sum(array_map(static fn (Drifts $drifts): int => $drifts->streams(), $this->drifts));
        $acresABlock = $this->width * $this->mph * 5280 / 3600 * $of->block() / 43_560;

        return max(10.0, $this->acres / max($acresABlock, 1e-6) * max(1, $streams));
    }

    /**
     * @param  array<int, float>  $means
     * @return array<int, float> without sensors that are in doubt
     */
    private function believed(Watched $of, array $means): array
    {
        return array_filter($means, fn (int $row): bool => ! $this->sensors->isDoubted($of, $row), ARRAY_FILTER_USE_KEY);
    }

    private function close(int $ms): ?PassSummary
    {
        if ($this->passFrom === null) {
            return null;
        }
        [$means, $deviations] = [[], []];
        foreach (Watched::cases() as $of) {
            [$means[$of->value], $deviations[$of->value]] = [$this->pass->means($of), $this->pass->deviations($of)];
        }
        $pass = new PassSummary($this->passFrom, $ms, $this->passFeet, array_filter($means), array_filter($deviations));
        [$this->passFrom, $this->passFeet, $this->pass, $this->look, $this->glance] = [null, 0.0, new Tally, new Tally, new Tally];

        return $pass;
    }

    /** @return array<int, list<int>> rows by number of the group */
    private function sharing(Watched $of): array
    {
        return array_map(static fn (RowGroup $group): array => $group->rows, array_filter($this->groups, static fn (RowGroup $group): bool => in_array($of, $group->kind->moves(), true)));
    }

    /** All that it knows, to go on by. */
    public function kept(): string
    {
        return self::shape().serialize($this);
    }

    /** Null where it was kept by a version in which any part of it looked otherwise. */
    public static function of(string $kept): ?self
    {
        $shape = self::shape();
        $watch = str_starts_with($kept, $shape) ? unserialize(substr($kept, strlen($shape)), ['allowed_classes' => self::KEPT]) : null;

        return $watch instanceof self ? $watch : null;
    }

    /** What its parts look like in this version, by the names and types of their properties. */
    private static function shape(): string
    {
        $properties = array_map(
            static fn (string $class): array => array_map(static fn (ReflectionProperty $of): string => "{$of->getType()} {$of->name}", (new ReflectionClass($class))->getProperties()),
            self::KEPT,
        );

        return hash('xxh64', serialize($properties));
    }
}

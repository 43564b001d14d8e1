<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Measure\Day;
use Ustrel\Core\Plan\Jobs\Span;
use Ustrel\Core\Season\Season;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\Condition;
use Ustrel\Core\Unit\InvalidCatalogue;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/**
 * What is lubricated before planting, after it or both, and in between where it runs much, in one round over all rows (domain, 19); where
 * the operator's manual asks for more, that goes before.
 */
final readonly class Lubrication
{
    private const MOST_MINUTES = 60;

    private const MOST_INTERVAL = 10_000;

    /**
     * @param  string  $point  worded under `lube.<point>`, or the id of one of the shop's own
     * @param  int  $minutes  for the whole planter
     * @param  float|null  $acres  of each row, after which it is due again within the season; null where it is not
     * @param  float|null  $hours  of planting, the same
     */
    private function __construct(
        public string $point,
        public Lubricant $product,
        public int $minutes,
        public LubricationRounds $rounds,
        public ?float $acres,
        public ?float $hours,
    ) {
    }

    /** @return list<array<string, mixed>> all points that there are; shape: core/jobs/lubrication.json */
    public static function points(): array
    {
        /** @var list<array<string, mixed>>|null $points */
        static $points = null;

        if ($points === null) {
            /** @var list<array<string, mixed>> $read */
            $read = json_decode((string) file_get_contents(__DIR__.'/../../jobs/lubrication.json'), true, flags: JSON_THROW_ON_ERROR);
            $points = $read;
        }

        return $points;
    }

    /**
     * @param  array<mixed>  $points  shape: core/jobs/lubrication.json
     * @return list<self> those that a planter has, in the order in which they are gone round
     *
     * @throws InvalidPlan
     */
    public static function read(array $points, RowUnits $units): array
    {
        $read = [];
        foreach (array_values($points) as $at => $point) {
            $text = static fn (string $key): string => is_array($point) && is_string($point[$key] ?? null) ? $point[$key] : '';
            [$span, $product, $rounds] = [Span::tryFrom($text('per')), Lubricant::tryFrom($text('product')), LubricationRounds::tryFrom($text('rounds'))];
            $with = self::condition(is_array($point) ? $point['with'] ?? [] : null, $at + 1);
            $isPoint = is_array($point) && $text('point') !== '' && $product !== null && $rounds !== null && in_array($span, [Span::Row, Span::Planter], true);
            $minutes = $isPoint && (is_int($point['minutes'] ?? null) || is_float($point['minutes'] ?? null)) ? (float) $point['minutes'] : 0.0;
            [$acres, $hours] = $isPoint ? [self::interval($point, 'acres'), self::interval($point, 'hours')] : [null, null];
            if (! $isPoint || $minutes <= 0 || $minutes > self::MOST_MINUTES || $acres === 0.0 || $hours === 0.0) {
                throw InvalidPlan::lubrication($at + 1);
            }
            $times = match (true) {
                $span === Span::Row => count($units->where($with)),
                default => $units->some($with) ? 1 : 0,
            };
            if ($times > 0) {
                $read[] = new self($text('point'), $product, max(1, (int) round($minutes * $times)), $rounds, $acres, $hours);
            }
        }

        return $read;
    }

    /**
     * @param  mixed  $given  the condition of core/units for having the point
     *
     * @throws InvalidPlan
     */
    private static function condition(mixed $given, int $number): Condition
    {
        try {
            return Condition::read("point {$number}", $given, Catalogue::shipped()->assemblies);
        } catch (InvalidCatalogue) {
            throw InvalidPlan::lubrication($number);
        }
    }

    /**
     * @param  array<mixed>  $point
     * @return float|null 0 where it is no interval
     */
    private static function interval(array $point, string $of): ?float
    {
        $every = $point[$of] ?? null;

        return match (true) {
            $every === null => null,
            (is_int($every) || is_float($every)) && $every >= 1 && $every <= self::MOST_INTERVAL => (float) $every,
            default => 0.0,
        };
    }

    /**
     * Whether it is due, by when it was done last. The round after planting is for what has planted since.
     *
     * @param  Day|null  $last  null where nobody ever wrote it down
     * @param  float  $acres  of each row since
     * @param  float|null  $hours  of planting since; null where nobody can tell
     */
    public function isDue(Day $today, Season $seasons, ?Day $last, float $acres, ?float $hours): bool
    {
        [[$began, $isAfter]] = $this->rounds->begun($seasons, $today);
        $isOfRound = $last === null || ($last->isBefore($began) && (! $isAfter || $acres > 0));

        return $isOfRound || ($this->acres !== null && $acres >= $this->acres) || ($this->hours !== null && $hours !== null && $hours >= $this->hours);
    }

    /**
     * Whether the round before this one went by without it, on a planter that planted within the year before.
     *
     * @param  array<string, float>  $acres  planted, by day
     */
    public function isMissed(Day $today, Season $seasons, ?Day $last, array $acres): bool
    {
        [[$now], [$before]] = $this->rounds->begun($seasons, $today);
        $planted = array_sum(array_filter($acres, static fn (string $day): bool => $day >= $now->plusDays(-366)->iso && $day < $now->iso, ARRAY_FILTER_USE_KEY));

        return $planted > 0 && ($last === null || $last->isBefore($before));
    }

    /** By which it is ticked and finished. */
    public function work(): OwnWork
    {
        return new OwnWork(Target::lubrication($this->point), $this->minutes, false);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Plan\Jobs\Span;
use Ustrel\Core\Spec\Drive;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/** What is lubricated each season and, where it runs much, in between, in one round over all rows; where the operator's manual asks for more, that goes before. */
final readonly class Lubrication
{
    private const MOST_MINUTES = 60;

    private const MOST_INTERVAL = 10_000;

    /**
     * @param  string  $point  worded under `lube.<point>`
     * @param  string  $product  dry, grease, anti_seize or penetrating; worded under `lube_with.<product>`
     * @param  int  $minutes  for the whole planter
     * @param  float|null  $acres  of each row, after which it is due again within the season; null where it is not
     * @param  float|null  $hours  of planting, the same
     */
    private function __construct(
        public string $point,
        public string $product,
        public int $minutes,
        public ?float $acres,
        public ?float $hours,
    ) {
    }

    /** @return list<self> that a planter has, in the order in which they are gone round */
    public static function typical(Equipment $equipment, int $rows): array
    {
        return self::read((array) json_decode((string) file_get_contents(__DIR__.'/../../jobs/lubrication.json'), true, flags: JSON_THROW_ON_ERROR), $equipment, $rows);
    }

    /**
     * @param  array<mixed>  $points  shape: core/jobs/lubrication.json
     * @return list<self>
     *
     * @throws InvalidPlan
     */
    public static function read(array $points, Equipment $equipment, int $rows): array
    {
        $has = ['' => true, 'row_cleaner' => $equipment->rowCleaner, 'ground_drive' => $equipment->drive === Drive::Ground, 'markers' => $equipment->markers];
        $read = [];
        foreach (array_values($points) as $at => $point) {
            $span = is_array($point) && is_string($point['per'] ?? null) ? Span::tryFrom($point['per']) : null;
            $with = is_array($point) ? $point['with'] ?? '' : null;
            $isPoint = is_array($point) && is_string($point['point'] ?? null) && in_array($point['product'] ?? null, ['dry', 'grease', 'anti_seize', 'penetrating'], true)
                && in_array($span, [Span::Row, Span::Planter], true) && is_string($with) && isset($has[$with]);
            $minutes = $isPoint && (is_int($point['minutes'] ?? null) || is_float($point['minutes'] ?? null)) ? (float) $point['minutes'] : 0.0;
            [$acres, $hours] = $isPoint ? [self::interval($point, 'acres'), self::interval($point, 'hours')] : [null, null];
            if (! $isPoint || $minutes <= 0 || $minutes > self::MOST_MINUTES || $acres === 0.0 || $hours === 0.0) {
                throw InvalidPlan::lubrication($at + 1);
            }
            if ($has[$with]) {
                $read[] = new self($point['point'], $point['product'], max(1, (int) round($minutes * ($span === Span::Row ? $rows : 1))), $acres, $hours);
            }
        }

        return $read;
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
     * Whether it is due, by when it was done last.
     *
     * @param  bool  $isThisSeason  it was done in the season that is being prepared or planted
     * @param  float  $acres  of each row since
     * @param  float|null  $hours  of planting since; null where nobody can tell
     */
    public function isDue(bool $isThisSeason, float $acres, ?float $hours): bool
    {
        return ! $isThisSeason || ($this->acres !== null && $acres >= $this->acres) || ($this->hours !== null && $hours !== null && $hours >= $this->hours);
    }

    /** By which it is ticked and finished. */
    public function work(): OwnWork
    {
        return new OwnWork("grease:0:{$this->point}:centre", 0, $this->minutes, false);
    }
}

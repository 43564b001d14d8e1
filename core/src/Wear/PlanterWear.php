<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Season\PlantingProgress;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Wear\Acres\UseLog;

/** The wear of one planter as of a moment: the one way from what is on record to what is to be expected. */
final readonly class PlanterWear
{
    /**
     * @param  float  $watchChance  over this chance of reaching the limit within the season a part is watched, 0 to 1
     * @param  PlantingProgress|null  $plan  null where nobody knows what the season is to bring
     * @param  Moment  $asOf  what was planted by the end of the day before counts as run
     * @param  array<string, float>  $measuringSd  of the shop, millimetres by check key; where it has none the planter's own readings tell
     */
    public function __construct(
        public History $history,
        public UseLog $log,
        public float $watchChance,
        public ?PlantingProgress $plan,
        public Moment $asOf,
        private array $measuringSd = [],
    ) {
    }

    /**
     * @param  list<string>|null  $keys  only these checks
     * @return list<Check> those of a sheet whose figure wears; one for each way in which rows differ about it
     */
    public static function checks(Sheet $sheet, ?array $keys = null): array
    {
        $checks = [];
        foreach (array_keys($sheet->ofRows()) as $key) {
            if ($keys === null || in_array($key, $keys, true)) {
                array_push($checks, ...array_filter($sheet->variantsOf($key), static fn (Check $check): bool => $check->wear() !== null));
            }
        }

        return $checks;
    }

    /**
     * @param  list<Check>  $checks
     * @return list<string> their keys, each once
     */
    public static function keys(array $checks): array
    {
        return array_values(array_unique(array_map(static fn (Check $check): string => $check->key->value, $checks)));
    }

    /** @return array<string, WearForecast> one for each row and side of a check that wears, by place key */
    public function forecasts(Check $check): array
    {
        $path = $check->wear();
        if ($path === null) {
            return [];
        }

        return $this->forecaster($check, $path)
            ->of($this->items($this->history->traces($check), $path), $this->plan?->effectiveLeft(), $this->items($this->history->former($check), $path));
    }

    /** How the parts that a check reads wear on this planter; null where none does. */
    public function life(Check $check): ?KindLife
    {
        $path = $check->wear();

        return $path === null ? null : $this->forecaster($check, $path)->life($this->items($this->history->traces($check), $path), $this->items($this->history->former($check), $path));
    }

    /** @return list<Item> all parts that a check was ever read of, for the shop to learn from how it measures */
    public function parts(Check $check): array
    {
        $path = $check->wear();

        return $path === null ? [] : [...$this->items($this->history->traces($check), $path), ...$this->items($this->history->former($check), $path)];
    }

    private function forecaster(Check $check, WearPath $path): Forecaster
    {
        $error = ReadingError::of($check->key);
        $sd = $this->measuringSd[$check->key->value] ?? null;

        return $sd === null
            ? new Forecaster($path, $error, $this->watchChance)
            : new Forecaster($path, new ReadingError($sd, $error->step), $this->watchChance, learns: false);
    }

    /**
     * @param  array<Trace>  $traces
     * @return list<Item>
     */
    private function items(array $traces, WearPath $path): array
    {
        return array_values(array_map(fn (Trace $trace): Item => $trace->item($this->log, $path, $this->asOf), $traces));
    }

    /** @return array<string, SeasonOutlook> from which size on a reading would not last the season, by place key; none without a plan */
    public function outlooks(Check $check): array
    {
        $path = $check->wear();
        if ($path === null || $this->plan === null) {
            return [];
        }
        $outlooks = [];
        foreach ($this->forecasts($check) as $key => $forecast) {
            if ($forecast->watchUnder !== null && $forecast->watchUnder > 0) {
                $outlooks[$key] = self::outlook($path->size($forecast->watchUnder), $this->watchChance);
            }
        }

        return $outlooks;
    }

    /** @param  float  $turnsAt  millimetres */
    public static function outlook(float $turnsAt, float $watchChance): SeasonOutlook
    {
        return new SeasonOutlook(Unit::Millimetre->quantityOf($turnsAt), Unit::Percent->quantityOf(round(100 * $watchChance, 1)));
    }
}

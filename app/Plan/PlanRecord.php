<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Planter;
use App\Models\Wear\Forecast;
use App\Opener\ContactQuery;
use App\Opener\RowContact;
use App\Season\SeasonQuery;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Circumstances;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Jobs\JobTimes;
use Ustrel\Core\Plan\Policy\WearNow;
use Ustrel\Core\Spec\CheckKey;

/** What proposals hang on, read from the record of one planter. */
final readonly class PlanRecord
{
    public function __construct(
        private ContactQuery $contacts,
        private SeasonQuery $season,
    ) {
    }

    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  list<CheckKey>  $found  the checks of what was found
     */
    public function of(Planter $planter, array $found): Circumstances
    {
        $sheet = $planter->readSheet();
        $units = $planter->units();
        $record = new WearRecord($planter);
        $plan = $record->plan();
        $severity = $record->log()->severity(Moment::endOfTime());
        $wear = [];
        foreach (Forecast::query()->where('planter_id', $planter->id)->get() as $line) {
            $path = $sheet->checkAt($line->place())?->wear();
            if ($path === null || $line->size === null) {
                continue;
            }
            $gone = 1 - $path->room($line->size) / $path->allowance;
            $atEnd = $plan === null || $line->rate === null ? null : $gone + max(0.0, $line->rate) * $plan->effectiveLeft() / $path->allowance;
            $wear[$line->place()->key()] = new WearNow(
                $gone,
                $atEnd,
                $line->chance,
                $line->thin,
                $line->left10_m === null ? null : FurrowDistance::ofMetres($line->left10_m / $severity)->toPlanterAcres($planter->spacing(), $planter->row_count),
                max(0.0, ($gone + ($atEnd ?? $gone)) / 2) * $path->allowance * (Slot::of($line->check_key)?->depthLost() ?? 0.0),
            );
        }
        $contacts = in_array(CheckKey::from('blade_contact_length'), $found, true) || in_array(CheckKey::from('inner_shims'), $found, true) ? $this->contacts->of($planter) : null;

        return new Circumstances(
            $sheet, $units, RulingPolicy::of($planter), self::jobs($planter), PartPrices::of($planter)->prices(), $wear,
            array_column(array_map(static fn (RowContact $row): array => ['row' => $row->row, 'shims' => [$row->left, $row->right]], $contacts['rows'] ?? []), 'shims', 'row'),
            $contacts['sensitivity'] ?? null, self::left($planter), $plan?->acresLeft(), $plan->done ?? 0.0, $this->stopCost($planter, $plan->done ?? 0.0),
            array_filter(array_column(array_map(static fn (RowContact $row): array => ['row' => $row->row, 'contact' => $row->contact?->size], $contacts['rows'] ?? []), 'contact', 'row'), static fn (?float $of): bool => $of !== null),
        );
    }

    /** The trip and the time that the planter stands; null where nobody has said what a stop costs. */
    private function stopCost(Planter $planter, float $done): ?float
    {
        $shop = $planter->workshop;

        return $shop->stop_cost === null ? null : (float) $shop->stop_cost + (float) $shop->stop_hours * $this->season->delay($planter)->anHour($done);
    }

    /** How long jobs take on this planter, by the work of all planters of the shop. */
    private static function jobs(Planter $planter): JobBook
    {
        $sums = array_map(self::added(...), LearnedSum::ofWorkshop($planter->workshop_id, Lesson::JobMinutes));

        $typical = JobBook::typical()->on($planter->units());

        return $sums === [] ? $typical : $typical->learned(JobTimes::of($sums));
    }

    /** @return array<string, array{int, int}> findings that the shop left and how many of them went wrong, by check, over all its planters */
    private static function left(Planter $planter): array
    {
        return array_map(static function (array $sums): array {
            [$left, $failed] = self::added($sums);

            return [(int) $left, (int) $failed];
        }, LearnedSum::ofWorkshop($planter->workshop_id, Lesson::LeftFindings));
    }

    /**
     * @param  list<array{float, float, float}>  $sums
     * @return array{float, float, float}
     */
    private static function added(array $sums): array
    {
        return [array_sum(array_column($sums, 0)), array_sum(array_column($sums, 1)), array_sum(array_column($sums, 2))];
    }
}

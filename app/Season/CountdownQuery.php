<?php

declare(strict_types=1);

namespace App\Season;

use App\Bench\BenchQuery;
use App\Bench\Seed\SeedOnDiscs;
use App\Bench\Seed\SeedQuery;
use App\Field\OpenBeforePlanting;
use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Models\Walk\WalkRow;
use App\Parts\OnShelf;
use App\Parts\StoreQuery;
use App\Plan\DecideQuery;
use App\Plan\Decisions;
use App\Plan\Found;
use App\Plan\Needed;
use App\Plan\PartPrices;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\Countdown;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Deadline;
use Ustrel\Core\Season\Ready;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** Reads how far everything is that has to be ready before planting, by the program's own record where that can tell. */
final readonly class CountdownQuery
{
    /** Typical hours. */
    private const WALK_OF_A_ROW = 0.25;

    private const LEVEL = 2.0;

    private const MONITOR = 2.0;

    private const FIRST_PASS = 3.0;

    private const A_DECISION = 0.05;

    private const A_METER = 17 / 60;

    private const MOST_NOTES = 4;

    public function __construct(
        private DecideQuery $decide,
        private StoreQuery $store,
        private SeedQuery $seed,
        private BenchQuery $bench,
        private SeedOnDiscs $discs,
        private OpenBeforePlanting $firstPass,
    ) {
    }

    /** @return list<Deadline> none without a day on which planting is to start */
    public function of(PreparedSeason $view): array
    {
        $planter = $view->planter;
        if ($planter->planting_start === null) {
            return [];
        }
        $own = [];
        foreach ($view->plan->own_items as $item) {
            $own[$item['id']] = [Day::of($item['due']), $item['done']];
        }

        return Countdown::of($planter->planting_start, $planter->workshop->today(), $view->crew, $this->ready($view), $own);
    }

    /** @return array<string, list<string>> what keeps a step open, in words, by step */
    public function notes(PreparedSeason $view): array
    {
        return array_filter([
            CountdownStep::SeedFits->value => $this->discs->of($view->planter, $view->plan)[1],
            CountdownStep::FirstPass->value => $this->firstPass->isDone($view->planter) ? [] : array_column(array_slice($this->firstPass->of($view->planter), 0, self::MOST_NOTES), 'said'),
        ]);
    }

    /** @return array<string, Ready> by step */
    private function ready(PreparedSeason $view): array
    {
        $decisions = $this->decide->of($view->planter);
        $walk = $decisions->walk;
        $sheet = $view->planter->readSheet();
        $ticked = static fn (CountdownStep $step, int $days = 0): Ready => (in_array($step->value, $view->plan->ticked, true) ? Ready::done() : Ready::open(0.0, $days))->byHand();
        $open = count(array_filter($decisions->found, static fn (Found $found): bool => $found->isOpen()));
        [, $minutes] = $decisions->decided();
        $parts = self::parts($decisions);
        $lead = self::longestLead($decisions, $parts);
        $read = $walk === null ? [] : self::verdicts($walk);
        $isWalked = $walk !== null && ($walk->isFinished() || self::rowsLeft($walk) === 0);
        // Where the lists of seed and discs cannot tell, somebody has to.
        $told = static fn (?bool $isDone, CountdownStep $step): Ready => $isDone === null ? $ticked($step) : ($isDone ? Ready::done() : Ready::open(0.0));
        $enough = $this->seed->isEnough($view->planter->workshop, $view->plan->fields);
        [$fits] = $this->discs->of($view->planter, $view->plan);
        $ready = [
            CountdownStep::Seed->value => $told($enough, CountdownStep::Seed),
            CountdownStep::SeedFits->value => $told($fits, CountdownStep::SeedFits),
            CountdownStep::Walk->value => $isWalked ? Ready::done() : Ready::open(self::WALK_OF_A_ROW * ($walk === null ? count($view->planter->runningRows()) : self::rowsLeft($walk))),
            CountdownStep::Decisions->value => $isWalked && $open === 0 ? Ready::done() : Ready::open(self::A_DECISION * $open),
            CountdownStep::Work->value => $isWalked && $open === 0 && $decisions->held() === [] ? Ready::done() : Ready::open($minutes / 60),
            CountdownStep::Level->value => self::stations($sheet, $read, [Station::Frame, Station::WheelsAndDrive], self::LEVEL),
            CountdownStep::Monitor->value => self::stations($sheet, $read, [Station::Electronics], self::MONITOR),
            CountdownStep::FirstPass->value => $this->firstPass->isDone($view->planter) ? Ready::done() : Ready::open(self::FIRST_PASS),
        ];
        if ($parts !== [] || ! $isWalked) {
            [$ordered, $here] = $isWalked && $open === 0 ? $this->shelf($view->planter) : [false, false];
            $ready[CountdownStep::PartsOrdered->value] = $ordered ? Ready::done() : $ticked(CountdownStep::PartsOrdered);
            $ready[CountdownStep::PartsHere->value] = $here ? Ready::done() : $ticked(CountdownStep::PartsHere, $lead);
        }
        $meters = $this->metersLeft($sheet, $view->planter, $read);
        if ($meters !== null) {
            $ready[CountdownStep::Meters->value] = $meters === 0 ? Ready::done() : Ready::open(self::A_METER * $meters);
        }

        return array_filter($ready);
    }

    /** @return array{bool, bool} whether all that the planter needs is ordered or here, and whether it is all here */
    private function shelf(Planter $planter): array
    {
        $needed = array_filter($this->store->of($planter->workshop), static fn (OnShelf $of): bool => in_array($planter->id, array_map(static fn (Needed $need): int => $need->planterId, $of->needs), true));

        return [
            array_filter($needed, static fn (OnShelf $of): bool => $of->toOrder() > 0) === [],
            array_filter($needed, static fn (OnShelf $of): bool => (int) $of->stock->onHand < $of->needed()) === [],
        ];
    }

    private static function rowsLeft(Walk $walk): int
    {
        $checked = WalkRow::query()->where('walk_id', $walk->id)->pluck('checked', 'row_number');

        return count(array_filter($walk->row_places, static fn (int $places, int $at): bool => $checked->get($at + 1, 0) < $places, ARRAY_FILTER_USE_BOTH));
    }

    /** @return array<string, Verdict> of what the walk has read, by place key */
    private static function verdicts(Walk $walk): array
    {
        $place = Place::KEY_IN_SQL;

        return Cell::query()->where('walk_id', $walk->id)->where('result', '!=', Result::Withdrawn->value)->toBase()->selectRaw("{$place} AS place, verdict")
            ->pluck('verdict', 'place')->map(static fn (string $verdict): Verdict => Verdict::from($verdict))->all();
    }

    /**
     * @param  array<string, Verdict>  $read
     * @param  list<Station>  $stations
     */
    private static function stations(Sheet $sheet, array $read, array $stations, float $hours): ?Ready
    {
        $places = [];
        foreach ($sheet->checks as $check) {
            if (in_array($check->station, $stations, true)) {
                foreach ($check->sides as $side) {
                    $places[] = (new Place(Place::WHOLE_PLANTER, $check->key, $side))->key();
                }
            }
        }
        $sound = array_filter($places, static fn (string $key): bool => isset($read[$key]) && $read[$key]->severity() < Verdict::Change->severity());

        return $places === [] ? null : (count($sound) === count($places) ? Ready::done() : Ready::open($hours));
    }

    /**
     * Meters that were not run on the stand this season and whose run is due, or was not asked about; null where there are none to test.
     *
     * @param  array<string, Verdict>  $read
     */
    private function metersLeft(Sheet $sheet, Planter $planter, array $read): ?int
    {
        $check = $sheet->check(CheckKey::from('meter_bench_seasons'));
        if ($check === null) {
            return null;
        }
        $due = $this->bench->due($planter, $this->bench->of($planter));
        if ($due !== null) {
            return count($due);
        }
        // A run with seed that is not planted this season says nothing of the one that is.
        $planned = array_filter(array_column(SeasonQuery::plan($planter)->fields, 'seed_lot_id'));
        $run = $this->bench->of($planter)->reject(static fn (BenchRun $of): bool => $of->is_partial || $of->isPractice() || ($planned !== [] && $of->seed_lot_id !== null && ! in_array($of->seed_lot_id, $planned, true)))->pluck('row_number')->flip();
        $left = 0;
        foreach ($planter->runningRows() as $row) {
            $left += $sheet->at($row)->check($check->key) === null || $run->has($row) || ($read[(new Place($row, $check->key, $check->sides[0]))->key()] ?? null) === Verdict::Sound ? 0 : 1;
        }

        return $left;
    }

    /** @return list<string> keys of the slot places that get a part */
    private static function parts(Decisions $decisions): array
    {
        $keys = [];
        foreach ($decisions->found as $found) {
            foreach ($found->proposal->parts as $part) {
                $keys[$part->key()] = true;
            }
        }

        return array_keys($keys);
    }

    /** @param  list<string>  $parts  keys of slot places */
    private static function longestLead(Decisions $decisions, array $parts): int
    {
        $types = $parts === [] ? [] : PartPrices::of($decisions->planter)->types;

        return max([0, ...array_map(static fn (string $key): int => (int) ($types[$key] ?? null)?->lead_days, $parts)]);
    }
}

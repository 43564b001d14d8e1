<?php

declare(strict_types=1);

namespace App\Work;

use App\Http\Paper;
use App\Models\Planter;
use App\Plan\DecideQuery;
use App\Plan\Found;
use App\Season\CountdownQuery;
use App\Season\SeasonQuery;
use App\Walk\Export\Wording;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Deadline;
use Ustrel\Core\Spec\Judging\Verdict;

/** What is open before a planter goes out, by name, and who signs for that. On paper. */
final readonly class ReadySheet
{
    public function __construct(
        private WorkQuery $work,
        private DecideQuery $decide,
        private SeasonQuery $seasons,
        private CountdownQuery $countdown,
    ) {
    }

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function pdf(Planter $planter, UnitSystem $units): string
    {
        $printer = new QuantityPrinter($units);
        $plan = $this->work->of($planter->workshop, [$planter]);
        $decisions = $this->decide->of($planter);
        $wording = new Wording($printer, $planter->workshop->dates());
        $view = $this->seasons->of($planter);
        $own = array_column($view->plan->own_items, 'title', 'id');
        $due = array_filter($this->countdown->of($view), static fn (Deadline $deadline): bool => ! $deadline->isDone);
        $work = array_filter([...array_values($plan->pieces), ...$plan->undated], static fn (PlannedWork $of): bool => ! $of->isSafety());
        usort($work, static fn (PlannedWork $one, PlannedWork $other): int => [$other->piece->blocks, $one->piece->row] <=> [$one->piece->blocks, $other->piece->row]);

        return Paper::pdf('print.ready', [
            'planter' => $planter,
            'day' => $planter->workshop->sayDay($planter->workshop->today()),
            'due' => array_map(static fn (Deadline $deadline): array => [CountdownStep::tryFrom($deadline->key) === null ? $own[$deadline->key] ?? '' : __("countdown.{$deadline->key}"), $planter->workshop->sayDay($deadline->due)], array_values($due)),
            'open' => self::places($decisions->found, static fn (Found $found): bool => $found->isOpen() && $found->reading !== null, $wording),
            'again' => self::places($decisions->found, $decisions->isDone(...), $wording),
            'work' => $work,
            'words' => new WorkWords($printer),
        ]);
    }

    /**
     * @param  list<Found>  $found
     * @param  callable(Found): bool  $which
     * @return list<array{string, string, string}> row, check, verdict
     */
    private static function places(array $found, callable $which, Wording $wording): array
    {
        return array_values(array_map(static fn (Found $of): array => [WorkWords::row($of->place->row), $wording->check($of->place->check, $of->place->side), __('verdict.'.($of->reading->verdict ?? Verdict::Sound)->value)], array_filter($found, $which)));
    }
}

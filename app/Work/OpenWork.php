<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Models\Work\OwnJob;
use App\Models\Work\WorkEvent;
use App\Plan\DecideQuery;
use App\Plan\Decisions;
use App\Plan\PartPrices;
use App\Season\SeasonQuery;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\Arrival;
use Ustrel\Core\Parts\Stock\Supply;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Work\Card;
use Ustrel\Core\Work\JobOrder;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\OwnWork;
use Ustrel\Core\Work\Piece;
use Ustrel\Core\Work\ToDo;
use Ustrel\Core\Work\WorkEventKind;
use Ustrel\Core\Work\WorkList;

/** Reads what was decided on a planter and is not done, as the pieces of work that it makes. */
final readonly class OpenWork
{
    private const DAY = 1440;

    /** Parts are there from this minute of their day on. */
    private const POST = 720;

    /** Days of planting that tell whether a round of lubrication was missed. */
    private const LOOKED_BACK = 800;

    public function __construct(private DecideQuery $decide)
    {
    }

    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  array<int, Supply>  $supplies  by part type; what is taken from them is gone for whoever comes then
     * @param  Day  $first  at whose midnight the instants of the pieces begin
     * @return list<PlannedWork>
     */
    public function on(Planter $planter, array $supplies, Day $first, WhatIf $if = new WhatIf()): array
    {
        $decisions = $this->decide->of($planter);
        $types = PartPrices::of($planter)->types;
        $parts = $todos = $asked = $decided = [];
        foreach (self::blockingFirst($decisions) as [$proposal, $blocks]) {
            $instant = 0;
            foreach ($proposal->parts as $place) {
                $type = $types[$place->key()] ?? null;
                [, , $arrival] = $parts[$place->key()] ??= [$place, $type, self::arrival($type, $supplies, $if)];
                $instant = max($instant, $arrival->on === null ? 0 : self::DAY * max(0, $first->daysUntil($arrival->on)) + self::POST);
            }
            $key = $proposal->place->key();
            $asked[$key] = $proposal;
            $todos[] = new ToDo($key, $proposal->jobs, $instant, $blocks);
            foreach ($proposal->jobs as $job) {
                $decided[$job->key()] = max($decided[$job->key()] ?? PlannedWork::ALWAYS, $decisions->at($key)?->decision?->recorded_at->format(PlannedWork::MOMENT) ?? PlannedWork::ALWAYS);
            }
        }
        $book = $decisions->now->jobs;
        $finished = WorkEvent::current($planter->id)->where('kind', WorkEventKind::Finished)->orderBy('happened_at')->orderBy('id')->get(['id', 'targets', 'seized_minutes', 'happened_at', 'recorded_at']);
        [$own, $titles] = self::own($planter, $decisions, $finished);
        $lastDone = self::lastDone($finished);
        $order = JobOrder::typical();

        return array_map(static function (Piece $piece) use ($planter, $parts, $book, $order, $asked, $decisions, $decided, $lastDone, $titles): PlannedWork {
            $places = array_map(static fn (Job $job): string => "{$job->row}:{$job->what->value}:{$job->side->value}", array_filter($piece->jobs, static fn (Job $job): bool => $job->action === Action::Change));
            $kits = array_column(array_map(static fn (Job $job): array => [$job->key(), $book->kit($job)], $piece->jobs), 1, 0);
            $since = $piece->own === null ? array_intersect_key($decided, $kits) : [$piece->own->key() => $lastDone[$piece->own->key()] ?? PlannedWork::ALWAYS];

            return new PlannedWork(
                $planter, $piece, $book->steps($piece->jobs), Card::of($piece, $book, $order), array_intersect_key($asked, array_flip($piece->todos)), array_values(array_intersect_key($parts, array_flip($places))),
                $kits, $piece->own === null ? '' : $titles[$piece->own->key()], (string) $decisions->walk?->id, $since,
            );
        }, WorkList::pieces($todos, $book, $order, self::seized($finished), $own));
    }

    /**
     * What a seized joint took when each job was done last: which event told of it, and minutes.
     *
     * @param  Collection<int, WorkEvent>  $finished  the oldest first
     * @return array<string, array{string, int}>
     */
    private static function seized(Collection $finished): array
    {
        $seized = [];
        foreach ($finished as $event) {
            $seized = array_fill_keys($event->targets, [$event->id, $event->seized_minutes]) + $seized;
        }

        return $seized;
    }

    /**
     * When each was recorded to be done last, by what was done.
     *
     * @param  Collection<int, WorkEvent>  $finished
     * @return array<string, string>
     */
    private static function lastDone(Collection $finished): array
    {
        $last = [];
        foreach ($finished as $event) {
            foreach ($event->targets as $target) {
                $last[$target] = max($last[$target] ?? PlannedWork::ALWAYS, $event->recorded_at->format(PlannedWork::MOMENT));
            }
        }

        return $last;
    }

    /**
     * What the shop has added, and what is due to be lubricated.
     *
     * @param  Collection<int, WorkEvent>  $finished
     * @return array{list<OwnWork>, array<string, string>} with titles by key
     */
    private static function own(Planter $planter, Decisions $decisions, Collection $finished): array
    {
        $work = $titles = [];
        foreach (OwnJob::current($planter->id)->orderBy('recorded_at')->orderBy('id')->get() as $job) {
            $work[] = $job->work();
            $titles[$job->work()->key()] = $job->title;
        }
        // What the shop added is done once; what is lubricated is due again.
        $done = [];
        foreach ($finished as $event) {
            $done = array_fill_keys($event->targets, $event->happened_at) + $done;
        }
        $shop = ShopLubrication::of($planter->workshop);
        foreach (self::lubrication($planter, $shop, $done) as [$point, $isMissed]) {
            $work[] = $point->work();
            unset($done[$point->work()->key()]);
            $titles[$point->work()->key()] = __($isMissed ? 'lube.do_missed' : 'lube.do', ['point' => $shop->name($point->point), 'with' => __("lube_with.{$point->product->value}")]);
        }

        return [array_values(array_filter($work, static fn (OwnWork $of): bool => ! isset($done[$of->key()]))), $titles];
    }

    /**
     * @param  array<string, CarbonImmutable>  $done  when each was done last, by key
     * @return list<array{Lubrication, bool}> what is due, and whether the round before went by without it
     */
    private static function lubrication(Planter $planter, ShopLubrication $shop, array $done): array
    {
        $points = $shop->on($planter);
        $zone = $planter->workshop->zone();
        $lasts = [];
        foreach ($points as $point) {
            $at = $done[$point->work()->key()] ?? null;
            $lasts[$point->point] = $at === null ? null : Day::of($at->setTimezone($zone)->toDateString());
        }
        $today = $planter->workshop->today();
        /** @var array<string, float> $days */
        $days = AcresEntry::current($planter->id)->planted()->where('day', '>=', min([$today->plusDays(-self::LOOKED_BACK)->iso, ...array_map(static fn (Day $of): string => $of->iso, array_filter($lasts))]))
            ->groupBy('day')->toBase()->selectRaw('day, sum(acres)::float AS acres')->pluck('acres', 'day')->all();
        $anHour = $days === [] ? null : SeasonQuery::acresAnHour($planter);
        $seasons = $planter->seasons();
        // Where lubrication was never written down, nobody knows what was missed.
        $isKept = array_filter($lasts) !== [];
        $due = [];
        foreach ($points as $point) {
            $last = $lasts[$point->point];
            $acres = array_sum(array_filter($days, static fn (string $day): bool => $last !== null && $day > $last->iso, ARRAY_FILTER_USE_KEY));
            if ($point->isDue($today, $seasons, $last, $acres / $planter->row_count, $anHour === null ? null : $acres / $anHour)) {
                $due[] = [$point, $isKept && $point->isMissed($today, $seasons, $last, $days)];
            }
        }

        return $due;
    }

    /** @return list<array{Proposal, bool}> what was decided, and whether planting waits for it */
    private static function blockingFirst(Decisions $decisions): array
    {
        $work = array_map(static fn (Proposal $proposal): array => [$proposal, ($decisions->at($proposal->place->key())->reading->verdict ?? Verdict::Sound)->severity() >= Verdict::Change->severity()], $decisions->work());
        usort($work, static fn (array $one, array $other): int => $other[1] <=> $one[1]);

        return $work;
    }

    /** @param  array<int, Supply>  $supplies  by part type */
    private static function arrival(?PartType $type, array $supplies, WhatIf $if): Arrival
    {
        $arrival = $type === null ? null : ($supplies[$type->id] ?? null)?->take();

        return $arrival === null ? Arrival::notOrdered(null) : ($type->id === $if->latePart ? $arrival->later($if->lateBy) : $arrival);
    }
}

<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Parts\PartType;
use App\Models\Planter;
use App\Parts\StoreQuery;
use App\Plan\DecideQuery;
use App\Plan\PartPrices;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Parts\Stock\Supply;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Plan\SharedWork;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Stops\RainJob;
use Ustrel\Core\Work\Stops\RainList;
use Ustrel\Core\Work\Stops\RainWorth;

/** Chooses what to do while it rains: of what was decided or carried over, with the parts that are here, what removes most risk. */
final readonly class RainQuery
{
    /** So many are looked at, those that are worth most. */
    private const MOST = 30;

    public function __construct(
        private DecideQuery $decide,
        private StoreQuery $store,
    ) {
    }

    /** @param  Planter  $planter  with its spec sheet and workshop */
    public function of(Planter $planter, int $minutes, int $people): RainDay
    {
        $decisions = $this->decide->of($planter);
        $supplies = $this->store->supplies($planter->workshop);
        $types = PartPrices::of($planter)->types;
        $now = $decisions->now;
        $stop = $now->stopCost;
        $worth = new RainWorth((float) $stop, (float) $planter->workshop->depth_cost, (float) $now->acresLeft / $planter->row_count);
        $jobs = $proposals = [];
        $waiting = $unknown = $forMore = 0;
        $could = array_filter([...$decisions->work(), ...$decisions->carriedAsChanged()], static fn (Proposal $of): bool => $of->jobs !== []);
        // Two findings that the same work puts right are one job: both blades of a row, play up and down and to the side.
        foreach (SharedWork::of($could) as $proposal) {
            if ($proposal->risk->chance === null) {
                $unknown++;
            } elseif (! self::isHere($proposal, $types, $supplies)) {
                $waiting++;
            } else {
                $key = $proposal->place->key();
                $proposals[$key] = $proposal;
                $lost = array_map(static fn (SlotPlace $part): float => ($now->wear[$part->reading()->key()] ?? null)->depthLost ?? 0.0, $proposal->parts);
                $jobs[] = $job = self::job($key, $proposal, $now->jobs, $worth->of($proposal->risk->chance, $lost));
                $forMore += $job->people > $people ? 1 : 0;
            }
        }
        $safe = (int) round($now->jobs->minutesOnPlanter());
        usort($jobs, static fn (RainJob $one, RainJob $other): int => $other->worth <=> $one->worth);
        $plan = $stop === null || $minutes <= $safe ? null : RainList::of(array_slice($jobs, 0, self::MOST), $minutes - $safe, $people);

        return new RainDay($plan, $proposals, $safe, $waiting, $unknown, $forMore, $stop !== null);
    }

    private static function job(string $key, Proposal $proposal, JobBook $book, float $worth): RainJob
    {
        $sides = array_unique(array_map(static fn (Job $job): string => $job->side->value, $proposal->jobs));
        $access = array_merge(...array_map($book->access(...), $proposal->jobs));

        return new RainJob(
            $key, $proposal->place->row, count($sides) === 1 ? Side::from($sides[0]) : Side::Centre,
            (int) round(array_sum(array_map($book->own(...), $proposal->jobs))), array_map(static fn (float $of): int => (int) round($of), $access), $worth,
            max([1, ...array_map(static fn (Job $job): int => $book->kit($job)->people, $proposal->jobs)]),
        );
    }

    /**
     * @param  array<string, PartType>  $types  by place of the slot
     * @param  array<int, Supply>  $supplies  by part type
     */
    private static function isHere(Proposal $proposal, array $types, array $supplies): bool
    {
        $needed = array_count_values(array_map(static fn ($place): int => $types[$place->key()]->id ?? 0, $proposal->parts));
        foreach ($needed as $type => $count) {
            if (($supplies[$type] ?? null)?->has($count) !== true) {
                return false;
            }
        }
        foreach ($needed as $type => $count) {
            for ($taken = 0; $taken < $count; $taken++) {
                $supplies[$type]->take();
            }
        }

        return $proposal->withoutSlot === 0;
    }
}

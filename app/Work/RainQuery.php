<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\PartType;
use App\Models\Planter;
use App\Parts\StoreQuery;
use App\Plan\DecideQuery;
use App\Plan\PartPrices;
use Ustrel\Core\Parts\Supply;
use Ustrel\Core\Plan\Job;
use Ustrel\Core\Plan\JobBook;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\RainJob;
use Ustrel\Core\Work\RainList;

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
        $types = PartPrices::of($planter, $planter->carries())->types;
        $stop = $decisions->now->stopCost;
        $jobs = $proposals = [];
        $waiting = $unknown = 0;
        $could = array_filter([...$decisions->work(), ...$decisions->carriedAsChanged()], static fn (Proposal $of): bool => $of->jobs !== []);
        usort($could, static fn (Proposal $one, Proposal $other): int => $other->risk->chance <=> $one->risk->chance);
        foreach ($could as $proposal) {
            if ($proposal->risk->chance === null) {
                $unknown++;
            } elseif (! self::isHere($proposal, $types, $supplies)) {
                $waiting++;
            } else {
                $key = $proposal->place->key();
                $proposals[$key] = $proposal;
                $jobs[] = self::job($key, $proposal, $decisions->now->jobs, $proposal->risk->chance * (float) $stop);
            }
        }
        $safe = (int) round($decisions->now->jobs->minutesOnPlanter());
        $plan = $stop === null || $minutes <= $safe ? null : RainList::of(array_slice($jobs, 0, self::MOST), $minutes - $safe, $people);

        return new RainDay($plan, $proposals, $safe, $waiting, $unknown, $stop !== null);
    }

    private static function job(string $key, Proposal $proposal, JobBook $book, float $worth): RainJob
    {
        $sides = array_unique(array_map(static fn (Job $job): string => $job->side->value, $proposal->jobs));
        $access = array_merge(...array_map($book->access(...), $proposal->jobs));

        return new RainJob(
            $key, $proposal->place->row, count($sides) === 1 ? Side::from($sides[0]) : Side::Centre,
            (int) round(array_sum(array_map($book->own(...), $proposal->jobs))), array_map(static fn (float $of): int => (int) round($of), $access), $worth,
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

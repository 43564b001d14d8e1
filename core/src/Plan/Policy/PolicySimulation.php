<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Plan\Prices;

/**
 * Plays the seasons that are to come, many times, under one policy after the other. All of them meet the same parts: which one
 * goes in next at a place, how it wears and how each measurement is off are drawn once for all, so that what differs is the policy.
 *
 * Before each planting the policy goes by what is measured, not by what is so. In season what passes its limit stops the
 * planter, or waits for the next service stop. Kinds of parts that no rule ties together are played apart, and once for
 * all policies that have the same rules for them.
 */
final readonly class PolicySimulation
{
    /** Random numbers for each new part: its rate, and its size. */
    private const OF_A_PART = 2;

    /** New parts at one place after which the same come round again, besides one for each season. */
    private const PARTS_BESIDES = 3;

    /**
     * @param  list<WearKind>  $kinds
     * @param  list<WearItem>  $items
     * @param  float  $use  of a row in a season, effective metres, over 0
     * @param  float  $firstUse  what is left of the first season, effective metres, 0 to that
     * @param  int  $seasons  1 or more
     * @param  int  $services  service stops a season that worn parts wait for; 0 where each stops the planter at once
     */
    public function __construct(
        public array $kinds,
        public array $items,
        public Prices $prices,
        public JobBook $jobs,
        public float $use,
        public float $firstUse,
        public int $seasons,
        public int $services = 0,
    ) {
    }

    /**
     * @param  list<Policy>  $policies
     * @param  int  $runs  1 or more
     * @return list<SimulatedRuns> one for each policy
     */
    public function of(array $policies, int $runs, int $seed): array
    {
        $draws = new Draws($seed);
        $perItem = self::OF_A_PART * (1 + $this->partsDrawn()) + $this->seasons * $this->looks();
        $count = max(1, count($this->kinds) + $perItem * count($this->items));
        $layout = new Layout($this->kinds, $this->items, $this->jobs);
        $players = [];
        $accounts = [];
        foreach ($policies as $policy) {
            $of = [];
            foreach ($this->tied($policy) as $kinds) {
                $rules = array_map(fn (int $kind): array => $policy->ruleFor($this->kinds[$kind]->slot)->toArray(), array_combine($kinds, $kinds));
                $of[] = $players[json_encode($rules, JSON_THROW_ON_ERROR)] ??= new RunSimulator($this, $layout, $policy, $kinds);
            }
            $accounts[] = new Account($this, $layout, $policy, $of);
        }
        for ($run = 0; $run < $runs; $run++) {
            $luck = new RunDraws($this, $draws->bits($count), $perItem);
            foreach ($players as $player) {
                $player->run($luck);
            }
            foreach ($accounts as $account) {
                $account->add();
            }
        }

        return array_map(static fn (Account $account): SimulatedRuns => $account->played($runs), $accounts);
    }

    /** Parts that one place can get before the draws come round again. */
    public function partsDrawn(): int
    {
        return $this->seasons + self::PARTS_BESIDES;
    }

    /** How often a season everything is looked at, by the policy that looks most often. */
    private function looks(): int
    {
        return max(SlotRule::MOST_LOOKS, 1 + $this->services);
    }

    /** @return list<non-empty-list<int>> kinds that are changed along with each other, together */
    private function tied(Policy $policy): array
    {
        $of = array_keys($this->kinds);
        foreach ($this->kinds as $kind) {
            foreach ($policy->ruleFor($kind->slot)->with as $slot) {
                $both = array_filter($of, fn (int $tie, int $index): bool => $this->kinds[$index]->slot === $slot || $this->kinds[$index]->slot === $kind->slot, ARRAY_FILTER_USE_BOTH);
                foreach ($of as $index => $tie) {
                    $of[$index] = in_array($tie, $both, true) ? min($both) : $tie;
                }
            }
        }
        $tied = [];
        foreach ($of as $index => $tie) {
            $tied[$tie][] = $index;
        }

        return array_values($tied);
    }
}

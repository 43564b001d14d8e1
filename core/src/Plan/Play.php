<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/**
 * Plays the seasons that are to come, many times, under one policy after the other. All of them meet the same parts: which one
 * goes in next at a place, how it wears and how each measurement is off are drawn once for all, so that what differs is the policy.
 *
 * Before each planting the policy goes by what is measured, not by what is so. In season what passes its limit stops the
 * planter, or waits for the next service stop.
 */
final readonly class Play
{
    /** Random numbers for each new part: its rate, and its size. */
    private const OF_A_PART = 2;

    /** New parts at one place after which the same come round again, for each season played. */
    private const PARTS_A_SEASON = 2;

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
     * @return list<Played> one for each policy
     */
    public function of(array $policies, int $runs, int $seed): array
    {
        $draws = new Draws($seed);
        $perItem = self::OF_A_PART * (1 + self::PARTS_A_SEASON * $this->seasons) + $this->seasons * (1 + max(SlotRule::MOST_LOOKS, 1 + $this->services));
        $count = count($this->kinds) + $perItem * max(1, count($this->items));
        $layout = new Layout($this->kinds, $this->items, $this->jobs);
        $players = array_map(fn (Policy $policy): Player => new Player($this, $layout, $policy), $policies);
        for ($run = 0; $run < $runs; $run++) {
            $luck = new Luck($this, $draws->bits($count), $perItem);
            foreach ($players as $player) {
                $player->run($luck);
            }
        }

        return array_map(static fn (Player $player): Played => $player->played($runs), $players);
    }

    /** Parts that one place can get before the draws come round again. */
    public function partsDrawn(): int
    {
        return self::PARTS_A_SEASON * $this->seasons;
    }
}

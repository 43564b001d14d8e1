<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

/** Plays some kinds of parts under the rules of one policy, run by run. What it says is of the run that was played last. */
final class RunSimulator
{
    /** No measurement is off by more standard deviations. */
    private const FURTHEST_OFF = 4.4;

    /** At one place no more parts go in in one season, however badly they wear. */
    private const MOST_CHANGES = 40;

    /** Money for parts, less what they gained in worth. */
    public float $parts = 0.0;

    /** Of the stops that each part made for itself. */
    public float $minutes = 0.0;

    /** Those. */
    public int $stops = 0;

    /** Money for standing still in them. */
    public float $standing = 0.0;

    /** Worth of what was left of parts that were taken out. */
    public float $waste = 0.0;

    /** @var array<int, array<int, int>> what was changed at each look, by row as bits of the Layout */
    public array $changed = [];

    /** @var array<int, float|null> at which share of the season a look stopped the planter; null before planting */
    public array $stopsAt = [];

    /** @var list<float> millimetres of depth lost at each planting on the worst row */
    public array $lostWorst = [];

    /** The same summed over rows and plantings. */
    public float $lostSum = 0.0;

    /** Parts whose wear loses depth. */
    public readonly int $measured;

    /** @var array<int, int> parts that went in in all runs, by kind */
    public array $used;

    /** @var array<int, float> by item */
    private array $rooms = [];

    /** @var array<int, float> by item */
    private array $rates = [];

    /** @var array<int, int> parts that went in so far in this run, by item */
    private array $generations = [];

    /** @var list<int> */
    private array $items;

    /** @var list<int> by item, its kind */
    private array $kindOf;

    /** @var list<float> by kind, what a unit of its room is worth */
    private array $worthOf = [];

    /** @var list<float> by kind, what goes in with each change */
    private array $priceOf = [];

    /** @var array<int, SlotRule> by kind */
    private array $rules;

    /** @var array<int, list<int>> by kind, the kinds that are changed along with it */
    private array $with;

    /** Looks a season. */
    private int $looks;

    private int $look = 0;

    /** @param  non-empty-list<int>  $kinds  that are tied together, and to no other */
    public function __construct(
        private readonly PolicySimulation $play,
        private readonly Layout $layout,
        Policy $policy,
        private readonly array $kinds,
    ) {
        $items = [];
        $measured = 0;
        foreach ($kinds as $of) {
            $rule = $this->rules[$of] = $policy->ruleFor($play->kinds[$of]->slot);
            $this->with[$of] = array_values(array_filter($kinds, static fn (int $other): bool => in_array($play->kinds[$other]->slot, $rule->with, true)));
            array_push($items, ...$layout->ofKind[$of]);
            $measured += $play->kinds[$of]->depth > 0 ? count($layout->ofKind[$of]) : 0;
        }
        $this->measured = $measured;
        $this->items = $items;
        $this->looks = $play->services > 0 ? 1 + $play->services : max(array_map(static fn (SlotRule $rule): int => $rule->looks, $this->rules));
        $this->kindOf = array_map(static fn (WearItem $item): int => $item->kind, $play->items);
        foreach ($play->kinds as $kind) {
            $this->worthOf[] = (float) $kind->price / $kind->allowance;
            $this->priceOf[] = (float) $kind->price + (float) array_sum(array_column($kind->along, 1));
        }
        $this->used = array_fill_keys($kinds, 0);
    }

    public function run(RunDraws $luck): void
    {
        $this->generations = $this->changed = $this->stopsAt = $this->lostWorst = [];
        $this->minutes = $this->standing = $this->waste = $this->lostSum = 0.0;
        $this->stops = $this->look = 0;
        foreach ($this->items as $item) {
            $this->rooms[$item] = $luck->rooms[$item];
            $this->rates[$item] = $luck->rates[$item];
        }
        $this->parts = $this->worth();
        for ($season = 0; $season < $this->play->seasons; $season++) {
            $use = $season === 0 && $this->play->firstUse > 0 ? $this->play->firstUse : $this->play->use;
            $done = 1 - $use / $this->play->use;
            for ($part = 0; $part < $this->looks; $part++) {
                // Every look has its place, whoever looks how often.
                $this->look = $season * max(SlotRule::MOST_LOOKS, 1 + $this->play->services) + $part;
                $at = $done + (1 - $done) * $part / $this->looks;
                $this->look($luck, 1 + $part, $use * (1 - $part / $this->looks), $part === 0 ? null : $at);
                if ($part === 0) {
                    $this->measureDepth();
                }
                $this->plant($luck, $use / $this->looks, $at);
            }
        }
        $this->parts -= $this->worth();
    }

    /** What is on the planter counts at its share of the price. */
    private function worth(): float
    {
        $worth = 0.0;
        foreach ($this->rooms as $item => $room) {
            if ($room > 0) {
                $worth += $room * $this->worthOf[$this->kindOf[$item]];
            }
        }

        return $worth;
    }

    /**
     * Changes what the policy changes at a look, by what is measured.
     *
     * @param  int  $number  of the look in its season, 1 before planting
     * @param  float  $ahead  effective metres until the season's end
     * @param  float|null  $at  share of the season that is planted, where the planter stops for it
     */
    private function look(RunDraws $luck, int $number, float $ahead, ?float $at): void
    {
        $rooms = $this->rooms;
        $due = [];
        foreach ($this->kinds as $of) {
            [$kind, $rule, $items] = [$this->play->kinds[$of], $this->rules[$of], $this->layout->ofKind[$of]];
            // As the shop knows it: the rate that is usual. A rule that looks once goes by the limit the other time.
            $under = $rule->looks < $number ? 0.0 : $rule->dueUnder($kind->allowance, $kind->rate * $ahead);
            $sd = $kind->measuringSd;
            $beyond = $under + self::FURTHEST_OFF * $sd;
            $byRule = [];
            foreach ($items as $item) {
                $room = $rooms[$item];
                if ($room >= $beyond) {
                    continue;
                }
                if ($sd > 0) {
                    $room += $sd * $luck->off($item, $this->look);
                }
                if ($room < 0) {
                    $due[$item] = true;
                }
                if ($room < $under) {
                    $byRule[] = $item;
                }
            }
            if ($rule->scope === Scope::Set) {
                $byRule = $byRule !== [] && 2 * count($byRule) >= count($items) ? $items : [];
            }
            foreach ($byRule as $item) {
                $due[$item] = true;
                foreach ($this->with[$of] as $with) {
                    $due += array_fill_keys($this->layout->beside($item, $with), true);
                }
            }
        }
        if ($due === []) {
            return;
        }
        $changed = [];
        foreach (array_keys($due) as $item) {
            $changed += array_fill_keys($this->layout->groups[$this->layout->groupOf[$item]], true);
        }
        $this->changed[$this->look] = $this->layout->bitsOf(array_keys($changed));
        $this->stopsAt[$this->look] = $at;
        $this->renew($luck, array_keys($changed));
    }

    /** @param  list<int>  $items */
    private function renew(RunDraws $luck, array $items): void
    {
        foreach ($items as $item) {
            $of = $this->kindOf[$item];
            $generation = $this->generations[$item] = ($this->generations[$item] ?? 0) + 1;
            $room = $this->rooms[$item];
            if ($room > 0) {
                $this->waste += $room * $this->worthOf[$of];
            }
            [$this->rooms[$item], $this->rates[$item]] = $luck->part($item, $generation);
            $this->parts += $this->priceOf[$of];
            $this->used[$of]++;
        }
    }

    /**
     * @param  float  $use  effective metres
     * @param  float  $from  share of the season that is planted already
     */
    private function plant(RunDraws $luck, float $use, float $from): void
    {
        $before = $this->rooms;
        $worn = [];
        foreach ($this->rates as $item => $rate) {
            $room = $before[$item] - $rate * $use;
            $this->rooms[$item] = $room;
            if ($room < 0) {
                $worn[$this->layout->groupOf[$item]] = true;
            }
        }
        if ($this->play->services > 0) {
            return;
        }
        foreach (array_keys($worn) as $group) {
            foreach ($this->layout->groups[$group] as $item) {
                $this->rooms[$item] = $before[$item];
            }
            $this->wearOut($luck, $group, $use, $from);
        }
    }

    /** What is changed together on one row, one of them reaching its limit on the way: the planter stops there. */
    private function wearOut(RunDraws $luck, int $of, float $use, float $from): void
    {
        $group = $this->layout->groups[$of];
        $minutes = $this->layout->minutesForGroup($of);
        $left = $use;
        for ($change = 0; $change < self::MOST_CHANGES; $change++) {
            $next = $left;
            foreach ($group as $item) {
                // Lasts no longer than that.
                if ($this->rooms[$item] < $this->rates[$item] * $next) {
                    $next = $this->rooms[$item] > 0 ? $this->rooms[$item] / $this->rates[$item] : 0.0;
                }
            }
            foreach ($group as $item) {
                $this->rooms[$item] -= $this->rates[$item] * $next;
            }
            if ($next >= $left) {
                return;
            }
            $left -= $next;
            $this->stops++;
            $this->minutes += $minutes;
            $this->standing += $this->play->prices->standing($minutes, $from + ($use - $left) / $this->play->use);
            $this->renew($luck, $group);
        }
    }

    private function measureDepth(): void
    {
        if ($this->measured === 0) {
            return;
        }
        $worst = 0.0;
        foreach ($this->kinds as $of) {
            $kind = $this->play->kinds[$of];
            foreach ($kind->depth > 0 ? $this->layout->ofKind[$of] : [] as $item) {
                $lost = ($kind->allowance - $this->rooms[$item]) * $kind->depth;
                if ($lost > 0) {
                    $worst = max($worst, $lost);
                    $this->lostSum += $lost;
                }
            }
        }
        $this->lostWorst[] = $worst;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/** Plays one policy, run by run, and keeps the account. */
final class Player
{
    /** No measurement is off by more standard deviations. */
    private const FURTHEST_OFF = 4.4;

    /** At one place no more parts go in in one season, however badly they wear. */
    private const MOST_CHANGES = 40;

    /** @var list<float> */
    private array $rooms = [];

    /** @var list<float> */
    private array $rates = [];

    /** @var array<int, int> parts that went in so far in this run, by item */
    private array $generations = [];

    private float $parts = 0.0;

    private float $minutes = 0.0;

    private float $stops = 0.0;

    private float $standing = 0.0;

    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $account = [[], [], [], []];

    /** @var array<int, int> by kind */
    private array $used;

    private float $waste = 0.0;

    private float $lostWorst = 0.0;

    private float $lostMean = 0.0;

    /** @var list<SlotRule> by kind */
    private array $rules;

    /** @var list<list<int>> by kind, the kinds that are changed along with it */
    private array $with;

    private bool $looksTwice = false;

    private int $look = 0;

    public function __construct(
        private readonly Play $play,
        private readonly Layout $layout,
        private readonly Policy $policy,
    ) {
        $slots = array_map(static fn (WearKind $kind): string => $kind->slot->value, $play->kinds);
        $rules = $with = [];
        foreach ($play->kinds as $kind) {
            $rules[] = $rule = $policy->ruleFor($kind->slot);
            $this->looksTwice = $this->looksTwice || $rule->looks > 1;
            $with[] = array_keys(array_filter($slots, static fn (string $slot): bool => in_array($slot, array_column($rule->with, 'value'), true)));
        }
        $this->rules = $rules;
        $this->with = $with;
        $this->used = array_fill(0, count($play->kinds), 0);
    }

    public function run(Luck $luck): void
    {
        [$this->rooms, $this->rates, $this->generations, $this->look] = [$luck->rooms, $luck->rates, [], 0];
        $this->parts = $this->worth();
        $this->minutes = $this->stops = $this->standing = 0.0;
        $stretches = $this->play->services > 0 ? 1 + $this->play->services : ($this->looksTwice ? 2 : 1);
        for ($season = 0; $season < $this->play->seasons; $season++) {
            $this->beforePlanting($luck);
            $use = $season === 0 ? $this->play->firstUse : $this->play->use;
            $done = 1 - $use / $this->play->use;
            for ($stretch = 0; $stretch < $stretches; $stretch++) {
                if ($stretch > 0) {
                    $this->onTheWay($luck, $done + (1 - $done) * $stretch / $stretches);
                }
                $this->plant($luck, $use / $stretches, $done + (1 - $done) * $stretch / $stretches);
            }
        }
        $this->parts -= $this->worth();
        foreach ([$this->parts, $this->minutes, $this->stops, $this->standing] as $index => $sum) {
            $this->account[$index][] = $sum;
        }
    }

    /** What is on the planter counts at its share of the price. */
    private function worth(): float
    {
        $worth = 0.0;
        foreach ($this->layout->ofKind as $of => $items) {
            $kind = $this->play->kinds[$of];
            $left = 0.0;
            foreach ($items as $item) {
                $left += max(0.0, $this->rooms[$item]);
            }
            $worth += $left / $kind->allowance * (float) $kind->price;
        }

        return $worth;
    }

    private function beforePlanting(Luck $luck): void
    {
        $changed = $this->due($luck, 1, $this->play->firstUse > 0 && $this->look === 0 ? $this->play->firstUse : $this->play->use);
        if ($changed !== []) {
            $this->minutes += $this->layout->minutesFor($changed);
            $this->renew($luck, $changed);
        }
        $this->measureDepth();
    }

    /** A look half way through, or a service stop: what is due then is changed in one stop. */
    private function onTheWay(Luck $luck, float $at): void
    {
        $changed = $this->due($luck, 2, $this->play->use * (1 - $at));
        if ($changed !== []) {
            $this->stop($this->layout->minutesFor($changed), $at);
            $this->renew($luck, $changed);
        }
    }

    /**
     * What the policy changes at a look, by what is measured.
     *
     * @param  int  $looks  how many a season a rule has at least that is asked now
     * @param  float  $ahead  effective metres that are expected until the next
     * @return list<int> items
     */
    private function due(Luck $luck, int $looks, float $ahead): array
    {
        $look = $this->look++;
        $rooms = $this->rooms;
        $due = [];
        foreach ($this->layout->ofKind as $of => $items) {
            [$kind, $rule] = [$this->play->kinds[$of], $this->rules[$of]];
            // As the shop knows it: the rate that is usual.
            $under = $rule->looks < $looks ? 0.0 : $rule->dueUnder($kind->allowance, $kind->rate * $ahead);
            $sd = $kind->measuringSd;
            $beyond = $under + self::FURTHEST_OFF * $sd;
            $byRule = [];
            foreach ($items as $item) {
                $room = $rooms[$item];
                if ($room >= $beyond) {
                    continue;
                }
                if ($sd > 0) {
                    $room += $sd * $luck->off($item, $look);
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
        $changed = [];
        foreach (array_keys($due) as $item) {
            $changed += array_fill_keys($this->layout->groups[$this->layout->groupOf[$item]], true);
        }

        return array_keys($changed);
    }

    /** @param  list<int>  $items */
    private function renew(Luck $luck, array $items): void
    {
        foreach ($items as $item) {
            $of = $this->play->items[$item]->kind;
            $kind = $this->play->kinds[$of];
            $generation = $this->generations[$item] = ($this->generations[$item] ?? 0) + 1;
            $this->waste += max(0.0, $this->rooms[$item]) / $kind->allowance * (float) $kind->price;
            [$this->rooms[$item], $this->rates[$item]] = $luck->part($item, $generation);
            $this->parts += (float) $kind->price;
            foreach ($kind->along as [, $price]) {
                $this->parts += (float) $price;
            }
            $this->used[$of]++;
        }
    }

    private function stop(float $minutes, float $at): void
    {
        $this->minutes += $minutes;
        $this->stops++;
        $this->standing += ($this->play->prices->stopHours + $minutes / 60) * $this->play->prices->standingAt($at);
    }

    /**
     * @param  float  $use  effective metres
     * @param  float  $from  share of the season that is planted already
     */
    private function plant(Luck $luck, float $use, float $from): void
    {
        $before = $rooms = $this->rooms;
        $worn = [];
        foreach ($this->rates as $item => $rate) {
            $room = $before[$item] - $rate * $use;
            $rooms[$item] = $room;
            if ($room < 0) {
                $worn[$this->layout->groupOf[$item]] = true;
            }
        }
        $this->rooms = $rooms;
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
    private function wearOut(Luck $luck, int $of, float $use, float $from): void
    {
        $group = $this->layout->groups[$of];
        $gone = 0.0;
        for ($change = 0; $change < self::MOST_CHANGES; $change++) {
            $next = $use - $gone;
            $worn = false;
            foreach ($group as $item) {
                $lasts = max(0.0, $this->rooms[$item]) / $this->rates[$item];
                [$next, $worn] = $lasts < $next ? [$lasts, true] : [$next, $worn];
            }
            foreach ($group as $item) {
                $this->rooms[$item] -= $this->rates[$item] * $next;
            }
            $gone += $next;
            if (! $worn) {
                return;
            }
            $this->stop($this->layout->minutesForGroup($of), $from + $gone / $this->play->use);
            $this->renew($luck, $group);
        }
    }

    private function measureDepth(): void
    {
        $worst = $sum = 0.0;
        $items = 0;
        foreach ($this->layout->ofKind as $of => $ofKind) {
            $kind = $this->play->kinds[$of];
            foreach ($kind->depth > 0 ? $ofKind : [] as $item) {
                $lost = max(0.0, $kind->allowance - $this->rooms[$item]) * $kind->depth;
                $worst = max($worst, $lost);
                $sum += $lost;
                $items++;
            }
        }
        $this->lostWorst += $worst;
        $this->lostMean += $items === 0 ? 0.0 : $sum / $items;
    }

    /** @param  int  $runs  that were played, 1 or more */
    public function played(int $runs): Played
    {
        $seasons = $runs * $this->play->seasons;
        $used = [];
        $unpriced = 0.0;
        foreach ($this->play->kinds as $of => $kind) {
            $used[$kind->slot->value] = ($used[$kind->slot->value] ?? 0.0) + $this->used[$of] / $seasons;
            $unknown = count(array_filter([[$kind->slot, $kind->price], ...$kind->along], static fn (array $part): bool => $part[1] === null));
            $unpriced += $unknown * $this->used[$of] / $seasons;
        }
        [$parts, $minutes, $stops, $standing] = $this->account;

        return new Played($this->policy, $parts, $minutes, $stops, $standing, $used, $unpriced, $this->lostWorst / $seasons, $this->lostMean / $seasons, $this->waste / $seasons);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\Side;

/** Which parts of a planter belong together, and what it takes to change them: looked up over and over while seasons are played. */
final class Layout
{
    /** @var list<list<int>> items by kind */
    public readonly array $ofKind;

    /** @var list<list<int>> items that are changed together, those of one row and kind */
    public readonly array $groups;

    /** @var list<int> each item's group */
    public readonly array $groupOf;

    /** @var array<string, int> groups by row and kind */
    private array $groupAt = [];

    /** @var list<int> by item, the bit of its kind and side */
    private array $bits;

    /** @var array<int, float> minutes by bits */
    private array $minutes = [];

    /** @var array<int, float> minutes by group */
    private array $ofGroup = [];

    /** Minutes that make the planter safe. */
    private float $safe;

    /** @var array<int, list<Job>> by bit */
    private array $jobsOf = [];

    /**
     * @param  list<WearKind>  $kinds
     * @param  list<WearItem>  $items
     */
    public function __construct(array $kinds, private readonly array $items, private readonly JobBook $jobs)
    {
        $ofKind = array_fill(0, count($kinds), []);
        $groups = $groupOf = $bits = [];
        foreach ($items as $index => $item) {
            $ofKind[$item->kind][] = $index;
            $at = "{$item->row} {$item->kind}";
            $group = $this->groupAt[$at] ??= count($groups);
            $groups[$group][] = $index;
            $groupOf[] = $group;
            $bit = 1 << (3 * $item->kind + (int) array_search($item->side, Side::cases(), true));
            $bits[] = $bit;
            $this->jobsOf[$bit] ??= array_map(
                static fn (Slot $slot): Job => Job::change(new SlotPlace(1, $slot, $item->side)),
                [$kinds[$item->kind]->slot, ...array_column($kinds[$item->kind]->along, 0)],
            );
        }
        $this->safe = $jobs->minutesOnPlanter();
        $this->ofKind = $ofKind;
        $this->groups = array_values($groups);
        $this->groupOf = $groupOf;
        $this->bits = $bits;
    }

    /** @return list<int> items of another kind on the same row as an item */
    public function beside(int $item, int $kind): array
    {
        $group = $this->groupAt["{$this->items[$item]->row} {$kind}"] ?? null;

        return $group === null ? [] : $this->groups[$group];
    }

    /** Minutes to change one group in a stop of its own. */
    public function minutesForGroup(int $group): float
    {
        return $this->ofGroup[$group] ??= $this->minutesOf($this->bitsOf($this->groups[$group]));
    }

    /**
     * @param  list<int>  $items
     * @return array<int, int> by row, the kinds and sides as bits
     */
    public function bitsOf(array $items): array
    {
        $rows = [];
        foreach ($items as $item) {
            $row = $this->items[$item]->row;
            $rows[$row] = ($rows[$row] ?? 0) | $this->bits[$item];
        }

        return $rows;
    }

    /**
     * Minutes to change these in one go, what makes the planter safe among them.
     *
     * @param  array<int, int>  $rows  by row, as bits
     */
    public function minutesOf(array $rows): float
    {
        $minutes = $this->safe;
        foreach ($rows as $bits) {
            $minutes += $this->minutes[$bits] ??= $this->onOneRow($bits);
        }

        return $minutes;
    }

    private function onOneRow(int $bits): float
    {
        $jobs = [];
        foreach ($this->jobsOf as $bit => $of) {
            if (($bits & $bit) !== 0) {
                array_push($jobs, ...$of);
            }
        }

        return $this->jobs->minutesOnRows($jobs);
    }
}

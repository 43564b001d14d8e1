<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Stops;

use Ustrel\Core\Parts\SlotPlace;
use Ustrel\Core\Plan\Policy\WearNow;
use Ustrel\Core\Work\Schedule\InvalidPlan;

/** A part that falls due in what is left of the season. */
final readonly class DuePart
{
    /** Parts of a slot that fall due within this share of what is left are changed together. */
    private const TOGETHER = 0.1;

    /** What would have to be changed more often in what is left is reckoned as if so often were enough: it was measured or planned wrongly. */
    private const MOST_CHANGES = 40;

    /** Nine in ten of new parts go at least this share of what they go on average. */
    private const TENTH = 0.8;

    private function __construct(
        public SlotPlace $place,
        /** Acres from now. */
        public float $due,
        /** Acres that nine in ten new ones go. */
        public float $life,
        public float $price,
    ) {
    }

    /**
     * @param  bool  $isNew  a new one goes in before planting
     * @param  float  $acres  that are left of the season
     * @param  float  $price  of a new one, 0 or more
     * @return self|null null where it lasts, or nobody can tell
     */
    public static function of(SlotPlace $place, WearNow $wear, bool $isNew, float $acres, float $price): ?self
    {
        $worn = $wear->goneAtEnd === null ? 0.0 : $wear->goneAtEnd - $wear->gone;
        if ($worn <= 0 || $acres <= 0) {
            return null;
        }
        $life = self::TENTH * $acres / $worn;
        $due = $isNew ? $life : ($wear->acres10 ?? INF);

        return $due < $acres ? new self($place, $due, $life, $price) : null;
    }

    /**
     * Those of a slot that fall due at about the same acres.
     *
     * @param  list<self>  $parts
     * @return array<string, non-empty-list<self>> by name of what is changed together
     */
    public static function together(array $parts, float $acres): array
    {
        $together = [];
        foreach ($parts as $part) {
            $together["{$part->place->slot->value} ".(int) floor($part->due / max(1.0, self::TOGETHER * $acres))][] = $part;
        }

        return $together;
    }

    /**
     * @param  non-empty-list<self>  $parts
     * @param  float  $work  what changing them costs
     *
     * @throws InvalidPlan
     */
    public static function item(string $name, array $parts, float $acres, float $work): StopItem
    {
        $due = array_map(static fn (self $part): float => $part->due, $parts);
        $life = array_map(static fn (self $part): float => $part->life, $parts);
        $price = array_map(static fn (self $part): float => $part->price, $parts);

        return new StopItem($name, min($due), max($acres / self::MOST_CHANGES, min($life)), array_sum($price), $work);
    }
}

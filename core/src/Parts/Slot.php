<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Spec\CheckDefinition;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Unit\Key;
use Ustrel\Core\Unit\SlotDefinition;

/** A position on a row that holds a part; they stand front to back. Worded under `slot.<value>`. */
final class Slot extends Key
{
    public static function cases(): array
    {
        return Catalogue::shipped()->frontToBack;
    }

    /** Millimetres of planting depth that are lost for each that its part wears: a blade cuts shallower by half the diameter that it lost. */
    public function depthLost(): float
    {
        return $this->definition()->depthLost;
    }

    /** @return non-empty-list<CheckKey> what a new part here makes good; the first is the one that its size is read by */
    public function checks(): array
    {
        return $this->definition()->checks;
    }

    /**
     * Whose earlier readings say nothing about a row any more once the part is in.
     *
     * @return list<CheckKey> its own, on its side; the contact of the blades for the row as a whole
     */
    public function renews(): array
    {
        return [...$this->definition()->checks, ...$this->definition()->renews];
    }

    /** @return list<CheckKey> what has to be measured or set again once the part is in, on the row as a whole */
    public function remeasured(): array
    {
        return $this->definition()->remeasured;
    }

    /** Whether both sides of a row are changed together. */
    public function isInPairs(): bool
    {
        return $this->definition()->inPairs;
    }

    /** @return list<Slot> whose parts wear with this one's on its side, and are changed with it */
    public function together(): array
    {
        return $this->definition()->together;
    }

    /**
     * @param  Equipment|null  $equipment  where the planter decides about them
     * @return non-empty-list<Side>
     */
    public function sides(?Equipment $equipment = null): array
    {
        return $this->check()->sides($equipment);
    }

    public function station(): Station
    {
        return $this->check()->station;
    }

    public function isOn(Equipment $equipment): bool
    {
        return $this->check()->isOn($equipment);
    }

    /** The slot whose part this check looks at; null where it looks at none. */
    public static function of(CheckKey $check): ?self
    {
        foreach (self::cases() as $slot) {
            if (in_array($check, $slot->checks(), true)) {
                return $slot;
            }
        }

        return null;
    }

    protected static function isKnown(string $name): bool
    {
        return Catalogue::shipped()->hasSlot($name);
    }

    private function definition(): SlotDefinition
    {
        return Catalogue::shipped()->slot($this);
    }

    /** The check that its part's size is read by. */
    private function check(): CheckDefinition
    {
        return Catalogue::shipped()->check($this->checks()[0]);
    }
}

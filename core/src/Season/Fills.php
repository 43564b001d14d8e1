<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** The boxes and tanks of a planter: whichever runs out first stops it. */
final readonly class Fills
{
    /** @param  list<Tank>  $tanks */
    public function __construct(public array $tanks)
    {
    }

    /** The one that runs out first; of several at once the one named first. Null without any. */
    public function first(): ?Tank
    {
        $first = null;
        foreach ($this->tanks as $tank) {
            $first = $first === null || $tank->acresAFill() < $first->acresAFill() ? $tank : $first;
        }

        return $first;
    }

    /** Acres between two stops, everything filled at each; null without tanks. */
    public function acresAFill(): ?float
    {
        return $this->first()?->acresAFill();
    }

    /** By how much the one that runs out first would have to hold more to last as long as the next; null with fewer than two. */
    public function short(): ?float
    {
        $first = $this->first();
        $others = array_filter($this->tanks, static fn (Tank $tank): bool => $tank !== $first);

        return $first === null || $others === [] ? null : $first->shortFor(min(array_map(static fn (Tank $tank): float => $tank->acresAFill(), $others)));
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

use Ustrel\Core\Season\Tank;

/** Boxes and tanks that should run out together: extra = rate x acres - volume. Domain, 12. */
final readonly class FillBalance
{
    /** @param  non-empty-list<Tank>  $tanks */
    public function __construct(public array $tanks)
    {
    }

    /** Acres until the first stop. */
    public function acres(): float
    {
        return min($this->each());
    }

    /** @return non-empty-list<float> acres that each lasts for */
    public function each(): array
    {
        return array_map(static fn (Tank $tank): float => $tank->acresAFill(), $this->tanks);
    }

    /** @return non-empty-list<float> how much more each would have to hold to last as long as the one that lasts longest */
    public function short(): array
    {
        $longest = max($this->each());

        return array_map(static fn (Tank $tank): float => $tank->shortFor($longest), $this->tanks);
    }
}

<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\PartType;
use App\Plan\Needed;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock;

/** One part type: what is on the shelf, what is needed of it, and what follows. */
final readonly class OnShelf
{
    /** @param  list<Needed>  $needs  one for each planter */
    public function __construct(
        public PartType $type,
        public Stock $stock,
        public array $needs,
    ) {
    }

    public function needed(): int
    {
        return array_sum(array_map(static fn (Needed $need): int => $need->count, $this->needs));
    }

    public function toOrder(): int
    {
        return $this->stock->toOrder($this->needed(), $this->type->minimum);
    }

    /** Null where nothing is to be ordered, where nobody knows when it is needed, or how long it takes. */
    public function orderBy(): ?Day
    {
        $days = array_values(array_filter(array_map(static fn (Needed $need): ?Day => $need->by, $this->needs)));
        usort($days, static fn (Day $a, Day $b): int => $a->iso <=> $b->iso);

        return $this->toOrder() === 0 ? null : Stock::orderBy($days[0] ?? null, $this->type->lead_days);
    }
}

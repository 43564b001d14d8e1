<?php

declare(strict_types=1);

namespace App\Parts;

use App\Models\Parts\PartType;
use App\Plan\Needed;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Parts\Stock\Offer;
use Ustrel\Core\Parts\Stock\Stock;

/** One part type: what is on the shelf, what is needed of it, and what follows. */
final readonly class OnShelf
{
    /**
     * @param  list<Needed>  $needs  one for each planter
     * @param  list<Offer>  $offers  of suppliers
     */
    public function __construct(
        public PartType $type,
        public Stock $stock,
        public array $needs,
        /** Ordered, and not come yet. */
        public int $onOrder,
        /** In drafts that have not gone off. */
        public int $drafted,
        private array $offers,
        private Day $today,
    ) {
    }

    public function needed(): int
    {
        return array_sum(array_map(static fn (Needed $need): int => $need->count, $this->needs));
    }

    public function toOrder(): int
    {
        return max(0, $this->stock->toOrder($this->needed(), $this->type->minimum) - $this->onOrder);
    }

    /** Of what is to be ordered, that stands in no draft yet. */
    public function toDraft(): int
    {
        return max(0, $this->toOrder() - $this->drafted);
    }

    /** Who is to get the order; null where no supplier is known to have it. */
    public function offer(): ?Offer
    {
        $by = $this->neededBy();

        return Offer::best($this->offers, $by === null ? null : $this->today->daysUntil($by));
    }

    /** For one: the supplier's, or else what the part type says; null where nobody knows. */
    public function price(): ?float
    {
        return $this->offer()->price ?? ($this->type->price === null ? null : (float) $this->type->price);
    }

    public function leadDays(): ?int
    {
        return $this->offer()->leadDays ?? $this->type->lead_days;
    }

    /** Null where nothing is to be ordered, where nobody knows when it is needed, or how long it takes. */
    public function orderBy(): ?Day
    {
        return $this->toOrder() === 0 ? null : Stock::orderBy($this->neededBy(), $this->leadDays());
    }

    private function neededBy(): ?Day
    {
        $days = array_values(array_filter(array_map(static fn (Needed $need): ?Day => $need->by, $this->needs)));
        usort($days, static fn (Day $a, Day $b): int => $a->iso <=> $b->iso);

        return $days[0] ?? null;
    }
}

<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Seed\SeedOnDiscs;
use App\Bench\Seed\SeedQuery;
use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Bench\Disc;
use App\Models\Bench\SeedLot;
use Ustrel\Core\Parts\Stock\Stock;

final readonly class SeedLotView extends Schema
{
    public function __construct(
        #[Inlined] public SeedLotEdit $edit,
        public int $id,
        /** Units; null where nobody counted */
        public ?float $on_hand,
        /** Units of its order that have not come */
        public float $to_come,
        /** More went than was there */
        public bool $miscount,
        /** Of the season's fields that name it */
        public float $acres,
        /** Units for them, with spare */
        public int $needed,
        /** Fields without a population, which are left out */
        public int $unknown,
        public ?float $price_a_thousand,
        /** On the average of its fields */
        public ?float $cost_an_acre,
        /** @var list<DiscTakesView> Each disc of the shop by the side of its size */
        public array $discs,
        /** What to get where no disc of the shop takes it, in words */
        public string $get,
        /** @var list<float>|null From and to, by seeds per pound; null where the tag does not tell */
        public ?array $estimated_mm,
        /** @var list<SeedFieldView> Of the season, that name it */
        public array $fields,
        /** Units that the fields take, in bulk boxes; null where it comes in bags */
        public ?float $boxes,
        /** Of a mixture by its kinds; null where the tag does not tell */
        public ?float $per_pound,
    ) {
    }

    /**
     * @param  float  $toCome  units of its order
     * @param  list<array{planter: string, field: string, acres: float, population: int|null}>  $fields  that name it
     * @param  iterable<Disc>  $discs  of the shop
     */
    public static function of(SeedLot $of, ?Stock $stock, float $toCome, array $fields, iterable $discs): self
    {
        $lot = $of->lot();
        $known = SeedQuery::known($fields);
        [$needed, $unknown] = SeedQuery::needed($of, $fields);
        $acres = array_sum(array_column($known, 0));
        $seeds = array_sum(array_map(static fn (array $field): float => $field[0] * $field[1], $known));
        $seed = $of->seed();
        $takes = [];
        foreach ($discs as $disc) {
            $fit = $disc->plate()->fit($seed);
            $takes[] = new DiscTakesView($disc->id, $fit->takes, $fit->by, $fit->contradicts);
        }
        $estimate = $seed->estimate();
        $money = static fn (?float $of): ?float => $of === null ? null : round($of, 2);

        return new self(
            SeedLotEdit::ofModel($of),
            id: $of->id,
            on_hand: $stock?->onHand === null ? null : $stock->onHand / 10,
            to_come: $toCome,
            miscount: $stock?->isMiscount() ?? false,
            acres: round(array_sum(array_column($fields, 'acres')), 1),
            needed: $needed,
            unknown: $unknown,
            price_a_thousand: $money($lot->priceAThousand()),
            cost_an_acre: $acres > 0 ? $money($lot->costAnAcre($seeds / $acres)) : null,
            discs: $takes,
            get: SeedOnDiscs::get($of),
            fields: array_map(static fn (array $field): SeedFieldView => SeedFieldView::of($of, $field), $fields),
            boxes: ($boxes = $lot->boxes($needed)) === null ? null : round($boxes, 1),
            per_pound: $seed->seedsPerPound === null ? null : round($seed->seedsPerPound, 1),
            estimated_mm: $estimate === null ? null : array_map(static fn (float $of): float => round($of, 1), $estimate),
        );
    }
}

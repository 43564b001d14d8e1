<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Bench\Seed\SeedQuery;
use App\Models\Bench\Disc;
use App\Models\Bench\SeedLot;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\Stock\Stock;
use Ustrel\Core\Parts\Stock\StockMoveKind;

#[OA\Schema(schema: 'SeedLotEdit', required: ['name', 'seeds_per_unit'], properties: [
    new OA\Property(property: 'name', description: 'As it stands on the tag, and in the fields of a season', type: 'string', maxLength: 80),
    new OA\Property(property: 'crop', type: 'string', maxLength: 80),
    new OA\Property(property: 'size', description: 'Millimetres, on average', type: 'number', maximum: 40, minimum: 0.5, nullable: true),
    new OA\Property(property: 'shape', type: 'string', maxLength: 40),
    new OA\Property(property: 'seeds_per_unit', type: 'integer', maximum: 10000000, minimum: 1),
    new OA\Property(property: 'germination', description: 'Share, on the tag', type: 'number', maximum: 1, minimum: 0.01, nullable: true),
    new OA\Property(property: 'treatment', type: 'string', maxLength: 120),
    new OA\Property(property: 'lubricant', description: 'Mix and dose', type: 'string', maxLength: 120),
    new OA\Property(property: 'price', description: 'Of a unit', type: 'number', nullable: true),
    new OA\Property(property: 'spare', description: 'Share more than the fields take; 0.05 where nobody says', type: 'number', maximum: 1, minimum: 0, nullable: true),
    new OA\Property(property: 'revision', description: 'That was changed; not of a new one', type: 'integer'),
])]
#[OA\Schema(schema: 'SeedLot', required: ['id', 'name', 'crop', 'size', 'shape', 'seeds_per_unit', 'germination', 'treatment', 'lubricant', 'price', 'spare', 'revision', 'on_hand', 'miscount', 'acres', 'needed', 'unknown', 'price_a_thousand', 'cost_an_acre', 'discs'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'crop', type: 'string'),
    new OA\Property(property: 'size', description: 'Millimetres', type: 'number', nullable: true),
    new OA\Property(property: 'shape', type: 'string'),
    new OA\Property(property: 'seeds_per_unit', type: 'integer'),
    new OA\Property(property: 'germination', type: 'number', nullable: true),
    new OA\Property(property: 'treatment', type: 'string'),
    new OA\Property(property: 'lubricant', type: 'string'),
    new OA\Property(property: 'price', type: 'number', nullable: true),
    new OA\Property(property: 'spare', type: 'number'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'on_hand', description: 'Units; null where nobody counted', type: 'number', nullable: true),
    new OA\Property(property: 'miscount', description: 'More went than was there', type: 'boolean'),
    new OA\Property(property: 'acres', description: 'Of the season\'s fields that name it', type: 'number'),
    new OA\Property(property: 'needed', description: 'Units for them, with spare', type: 'integer'),
    new OA\Property(property: 'unknown', description: 'Fields without a population, which are left out', type: 'integer'),
    new OA\Property(property: 'price_a_thousand', type: 'number', nullable: true),
    new OA\Property(property: 'cost_an_acre', description: 'On the average of its fields', type: 'number', nullable: true),
    new OA\Property(property: 'discs', description: 'Each disc of the shop by the side of its size', type: 'array', items: new OA\Items(required: ['id', 'takes'], properties: [
        new OA\Property(property: 'id', type: 'integer'),
        new OA\Property(property: 'takes', description: 'The seed by what the disc is meant for; null where one of them is not known', type: 'string', enum: ['fits', 'too_small', 'too_large'], nullable: true),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'DiscEdit', required: ['name', 'cells'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'cells', type: 'integer', maximum: 400, minimum: 1),
    new OA\Property(property: 'hole', description: 'Millimetres', type: 'number', maximum: 40, minimum: 0.1, nullable: true),
    new OA\Property(property: 'from_size', description: 'With to_size: of the seed that it is meant for, millimetres', type: 'number', maximum: 40, minimum: 0.5, nullable: true),
    new OA\Property(property: 'to_size', type: 'number', maximum: 40, minimum: 0.5, nullable: true),
    new OA\Property(property: 'kept_in', description: 'In winter', type: 'string', maxLength: 80),
    new OA\Property(property: 'revision', description: 'That was changed; not of a new one', type: 'integer'),
])]
#[OA\Schema(schema: 'Disc', required: ['id', 'name', 'cells', 'hole', 'from_size', 'to_size', 'kept_in', 'revision'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'cells', type: 'integer'),
    new OA\Property(property: 'hole', type: 'number', nullable: true),
    new OA\Property(property: 'from_size', type: 'number', nullable: true),
    new OA\Property(property: 'to_size', type: 'number', nullable: true),
    new OA\Property(property: 'kept_in', type: 'string'),
    new OA\Property(property: 'revision', type: 'integer'),
])]
#[OA\Schema(schema: 'SeedMove', required: ['id', 'seed_lot_id', 'kind', 'units', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'seed_lot_id', type: 'integer'),
    new OA\Property(property: 'kind', type: 'string', enum: StockMoveKind::class),
    new OA\Property(property: 'units', description: 'To a tenth', type: 'number', maximum: 100000, minimum: 0),
    new OA\Property(property: 'note', type: 'string', maxLength: 200),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', type: 'boolean'),
])]
final class SeedShape
{
    /**
     * @param  list<array{acres: float, population: int|null}>  $fields  that name it
     * @param  iterable<Disc>  $discs  of the shop
     * @return array<string, mixed>
     */
    public static function lot(SeedLot $of, ?Stock $stock, array $fields, iterable $discs): array
    {
        $lot = $of->lot();
        $known = SeedQuery::known($fields);
        [$needed, $unknown] = SeedQuery::needed($of, $fields);
        $acres = array_sum(array_column($known, 0));
        $seeds = array_sum(array_map(static fn (array $field): float => $field[0] * $field[1], $known));
        $size = $of->size === null ? null : (float) $of->size;
        $takes = [];
        foreach ($discs as $disc) {
            $takes[] = ['id' => $disc->id, 'takes' => $disc->plate()->takes($size)];
        }

        return [
            'id' => $of->id, 'name' => $of->name, 'crop' => $of->crop, 'size' => $size, 'shape' => $of->shape, 'seeds_per_unit' => $of->seeds_per_unit,
            'germination' => self::number($of->germination), 'treatment' => $of->treatment, 'lubricant' => $of->lubricant, 'price' => self::number($of->price), 'spare' => (float) $of->spare, 'revision' => $of->revision,
            'on_hand' => $stock?->onHand === null ? null : $stock->onHand / 10, 'miscount' => $stock?->isMiscount() ?? false,
            'acres' => round(array_sum(array_column($fields, 'acres')), 1),
            'needed' => $needed,
            'unknown' => $unknown,
            'price_a_thousand' => self::money($lot->priceAThousand()), 'cost_an_acre' => $acres > 0 ? self::money($lot->costAnAcre($seeds / $acres)) : null,
            'discs' => $takes,
        ];
    }

    /** @return array<string, mixed> */
    public static function disc(Disc $of): array
    {
        return [
            'id' => $of->id, 'name' => $of->name, 'cells' => $of->cells, 'hole' => self::number($of->hole), 'from_size' => self::number($of->from_size), 'to_size' => self::number($of->to_size),
            'kept_in' => $of->kept_in, 'revision' => $of->revision,
        ];
    }

    private static function number(?string $of): ?float
    {
        return $of === null ? null : (float) $of;
    }

    private static function money(?float $of): ?float
    {
        return $of === null ? null : round($of, 2);
    }
}

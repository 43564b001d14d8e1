<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Work\ShopLubrication;
use Ustrel\Core\Work\Lubricant;
use Ustrel\Core\Work\Lubrication;
use Ustrel\Core\Work\LubricationRounds;

final readonly class LubricationPointView extends Schema
{
    public function __construct(
        /** Its key, or a UUID for one of the shop’s own */
        public string $point,
        public string $name,
        /** The shop has added it */
        public bool $own,
        /** @var 'row'|'planter' */
        public string $per,
        /** On each row, or on the planter */
        public float $minutes,
        public Lubricant $product,
        public LubricationRounds $rounds,
        /** Of each row, after which it is due again within the season */
        public ?float $acres,
        /** Of planting, the same */
        public ?int $hours,
        /** It is not lubricated here */
        public bool $off,
        /** 0 where the shop has changed nothing */
        public int $revision,
    ) {
    }

    /**
     * @param  array<string, mixed>  $of  shape: core/jobs/lubrication.json
     */
    public static function of(array $of, ShopLubrication $shop): self
    {
        $said = $shop->said->get($of['point']);

        return new self(
            point: $of['point'], name: $shop->name($of['point']), own: ! in_array($of['point'], array_column(Lubrication::points(), 'point'), true), per: $of['per'], minutes: (float) $of['minutes'],
            product: Lubricant::from($of['product']), rounds: LubricationRounds::from($of['rounds']), acres: $of['acres'] ?? null, hours: $of['hours'] ?? null, off: $said->is_off ?? false, revision: $said->revision ?? 0,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;

/** A box or tank; what it holds and what an acre takes, in one unit. */
final readonly class TankEdit extends Input
{
    public function __construct(
        #[Field('season.tanks', 'max:40')] public string $name,
        #[Field('season.tanks', 'gt:0', 'max:1000000')] public float $holds,
        #[Field('season.tanks', 'gt:0', 'max:1000000')] public float $rate,
        #[Field('season.tanks', 'max:12')] public string $unit,
        /** Of the season's fields, for which alone it runs; null for all */
        #[Field('season.tanks', 'max:80')] public ?string $crop = null,
    ) {
    }
}

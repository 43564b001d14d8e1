<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;

/** One kind of seed in a mixture, as the tag lists it. */
final readonly class SeedKindEdit extends Input
{
    public function __construct(
        #[Field('seed.mixture', 'max:80')] public string $crop,
        /** Of the weight */
        #[Field('seed.mixture', 'gt:0', 'lt:1', 'decimal:0,4')] public float $share,
        #[Field('seed.mixture', 'between:10,500000', 'decimal:0,1')] public float $seeds_per_pound,
    ) {
    }
}

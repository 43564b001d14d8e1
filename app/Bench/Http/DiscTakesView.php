<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Schema;

final readonly class DiscTakesView extends Schema
{
    public function __construct(
        public int $id,
        /** The seed by what the disc is meant for; null where one of them is not known */
        #[Field('', 'in:fits,too_small,too_large')] public ?string $takes,
    ) {
    }
}

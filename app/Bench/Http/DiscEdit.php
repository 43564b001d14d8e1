<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;

final readonly class DiscEdit extends Input
{
    public function __construct(
        #[Field('seed.disc_name', 'max:80')] public string $name,
        #[Field('stand.cells', 'between:1,400')] public int $cells,
        /** Millimeters */
        #[Field('seed.hole', 'between:0.1,40', 'decimal:0,2')] public ?float $hole = null,
        /** With to_size: of the seed that it takes, millimeters */
        #[Field('seed.sizes', 'between:0.5,40', 'decimal:0,2', 'required_with:to_size')] public ?float $from_size = null,
        #[Field('seed.sizes', 'between:0.5,40', 'decimal:0,2', 'required_with:from_size', 'gte:from_size')] public ?float $to_size = null,
        /** In winter */
        #[Field('seed.text', 'max:80')] public string $kept_in = '',
        /** That it is meant for, as tags have it */
        #[Field('seed.text', 'max:80')] public string $crop = '',
        #[Field('seed.size_class', 'max:40')] public string $size_class = '',
        /** That was changed; 0 of a new one */
        public int $revision = 0,
    ) {
    }
}

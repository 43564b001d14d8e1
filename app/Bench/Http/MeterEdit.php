<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;

final readonly class MeterEdit extends Input
{
    public function __construct(
        /** The shop’s own number */
        #[Field('meters.serial', 'max:40')] public string $serial,
        #[Field('meters.note', 'max:200')] public string $note = '',
        /** That was changed; 0 of a new one */
        public int $revision = 0,
    ) {
    }
}

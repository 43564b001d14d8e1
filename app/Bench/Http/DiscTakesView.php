<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Field;
use App\Http\Api\Schema;

final readonly class DiscTakesView extends Schema
{
    public function __construct(
        public int $id,
        /** The seed by what the disc takes; null where nothing tells */
        #[Field('', 'in:fits,too_small,too_large,not_meant')] public ?string $takes,
        /** By the size that was measured, by the class that it is meant for, or by an estimate from seeds per pound */
        #[Field('', 'in:measured,meant,estimated')] public ?string $by,
        /** What is known less well says the opposite */
        public bool $contradicts,
    ) {
    }
}

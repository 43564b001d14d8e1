<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Api\Field;
use App\Http\Api\Input;
use Ustrel\Core\Measure\Day;

/** Something of the shop's own in the countdown. */
final readonly class OwnItemEdit extends Input
{
    public function __construct(
        /** Made on the device, UUIDv7 */
        #[Field('season.own_items', 'uuid')] public string $id,
        #[Field('season.own_items', 'max:120')] public string $title,
        #[Field('season.own_items')] public Day $due,
        #[Field('season.own_items')] public bool $done,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/**
 * A model with the columns row_number, check_key and side.
 *
 * @property int $row_number
 * @property CheckKey $check_key
 * @property Side $side
 */
trait OfPlace
{
    public function place(): Place
    {
        return new Place($this->row_number, $this->check_key, $this->side);
    }

    /** @return array{row_number: int, check_key: string, side: string} the columns of a place */
    public static function at(Place $place): array
    {
        return ['row_number' => $place->row, 'check_key' => $place->check->value, 'side' => $place->side->value];
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Meter\LotFigures;

/**
 * A lot of seed of a workshop.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string $crop
 * @property string|null $size millimetres, on average
 * @property string $shape
 * @property int $seeds_per_unit
 * @property string|null $germination share, on the tag
 * @property string $treatment
 * @property string $lubricant mix and dose
 * @property string|null $price of a unit
 * @property string $spare share of seed more than the fields take
 * @property list<string> $former_names that it had before
 * @property int $revision counts its changes
 */
final class SeedLot extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['revision' => 0, 'former_names' => '[]'];

    protected $casts = ['former_names' => 'array'];

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['former_names'];
    }

    public function lot(): LotFigures
    {
        return new LotFigures($this->seeds_per_unit, $this->germination === null ? null : (float) $this->germination, $this->price === null ? null : (float) $this->price);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Casts\AsDay;
use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Meter\LotFigures;
use Ustrel\Core\Meter\TagSeed;

/**
 * A lot of seed of a workshop.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string $crop
 * @property string|null $size millimetres, on average
 * @property string $shape
 * @property string $size_class on the tag, such as medium flat
 * @property string|null $seeds_per_pound
 * @property int $seeds_per_unit
 * @property string|null $test_weight pounds a bushel
 * @property string|null $unit_weight pounds
 * @property string|null $units_per_box
 * @property list<array{crop: string, share: float, seeds_per_pound: float}> $mixture
 * @property string|null $germination share, on the tag
 * @property string|null $germination_tested share, by the newest test
 * @property Day|null $tested_on
 * @property string $ordered_from
 * @property string|null $ordered_units
 * @property Day|null $ordered_on what is received from this day on comes of the order
 * @property Day|null $due_on
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

    protected $attributes = ['revision' => 0, 'size_class' => '', 'seeds_per_pound' => null, 'germination_tested' => null, 'tested_on' => null, 'ordered_from' => '', 'ordered_units' => null, 'ordered_on' => null, 'due_on' => null, 'test_weight' => null, 'unit_weight' => null, 'units_per_box' => null, 'mixture' => '[]', 'former_names' => '[]'];

    protected $casts = ['former_names' => 'array', 'mixture' => 'array', 'tested_on' => AsDay::class, 'ordered_on' => AsDay::class, 'due_on' => AsDay::class];

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['former_names'];
    }

    /** As its tag says it. */
    public function seed(): TagSeed
    {
        return new TagSeed($this->size === null ? null : (float) $this->size, $this->crop, $this->size_class, $this->seeds_per_pound === null ? null : (float) $this->seeds_per_pound, $this->mixture);
    }

    public function lot(): LotFigures
    {
        $germination = $this->germination_tested ?? $this->germination;

        return new LotFigures($this->seeds_per_unit, $germination === null ? null : (float) $germination, $this->price === null ? null : (float) $this->price, $this->units_per_box === null ? null : (float) $this->units_per_box);
    }
}

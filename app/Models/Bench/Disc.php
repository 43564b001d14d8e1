<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Meter\SeedDisc;

/**
 * A disc or plate of a workshop.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property int $cells
 * @property string|null $hole millimetres
 * @property string|null $from_size of the seed that it is meant for, millimetres
 * @property string|null $to_size
 * @property string $crop that it is meant for
 * @property string $size_class of the tag that it is meant for
 * @property string $kept_in where it is in winter
 * @property int $revision counts its changes
 */
final class Disc extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['revision' => 0, 'crop' => '', 'size_class' => ''];

    public function plate(): SeedDisc
    {
        return new SeedDisc($this->cells, $this->from_size === null ? null : (float) $this->from_size, $this->to_size === null ? null : (float) $this->to_size, $this->crop, $this->size_class);
    }
}

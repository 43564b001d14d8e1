<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\IsWatched;
use Illuminate\Database\Eloquent\Model;

/**
 * What a workshop calls good for a crop, or for one size of its seed; null is as typical.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $crop lower case; '' for all crops
 * @property string $size '' for all sizes
 * @property string|null $singulation share
 * @property string|null $rate_low share, under 0
 * @property string|null $rate_high
 * @property string|null $depth wanted, millimetres
 * @property string|null $depth_band millimetres
 * @property int|null $emergence_hours from 10 to 90%
 * @property string|null $spacing_cv scatter of single spacings, as a share
 * @property int $revision counts its changes
 */
final class Aim extends Model
{
    use IsWatched;

    private const FIGURES = ['singulation', 'rate_low', 'rate_high', 'depth', 'depth_band', 'emergence_hours', 'spacing_cv'];

    protected $guarded = [];

    protected $attributes = ['crop' => '', 'size' => '', 'revision' => 0];

    /** @return array<string, float|null> */
    public function figures(): array
    {
        return array_map(static fn (string|int|null $figure): ?float => $figure === null ? null : (float) $figure, $this->only(self::FIGURES));
    }
}

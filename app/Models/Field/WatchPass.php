<?php

declare(strict_types=1);

namespace App\Models\Field;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What a monitor told of one pass over the field, from letting down to lifting.
 *
 * @property string $watch_run_id
 * @property int $number from 1 on
 * @property CarbonImmutable $from_at
 * @property CarbonImmutable $to_at
 * @property float $seconds by the monitor's own clock
 * @property float $feet
 * @property string $mph
 * @property array<string, array<int, float>> $means by row, by what is watched
 * @property array<string, array<int, float>> $deviations from moment to moment
 */
final class WatchPass extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'watch_run_id';

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['from_at' => 'immutable_datetime', 'to_at' => 'immutable_datetime', 'seconds' => 'float', 'feet' => 'float', 'means' => 'array', 'deviations' => 'array'];
}

<?php

declare(strict_types=1);

namespace App\Models\Field;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A row of an alarm that is as it was before again.
 *
 * @property string $watch_run_id
 * @property int $watch_alarm_id
 * @property int $row_number
 * @property CarbonImmutable $at
 */
final class WatchBack extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'watch_alarm_id';

    protected $guarded = [];

    protected $casts = ['at' => 'immutable_datetime'];
}

<?php

declare(strict_types=1);

namespace App\Models\Bench;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One seed that a stand saw drop.
 *
 * @property string $stand_run_id
 * @property int $seq the stand's own number of it, from 1 on
 * @property float $ms milliseconds on the stand's own clock
 */
final class StandDrop extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = ['ms' => 'float'];

    /** @return BelongsTo<StandRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(StandRun::class, 'stand_run_id');
    }
}

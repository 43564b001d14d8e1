<?php

declare(strict_types=1);

namespace App\Models\FirstDay;

use Illuminate\Database\Eloquent\Model;

/**
 * A first step of a shop that somebody has marked or skipped; what the record shows is not written here.
 *
 * @property int $workshop_id
 * @property Step $step
 * @property State $state
 */
final class FirstDayStep extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = ['step' => Step::class, 'state' => State::class];
}

<?php

declare(strict_types=1);

namespace App\Models\Wear;

use App\Models\Casts\AsKey;
use App\Models\Concerns\OfPlace;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

/**
 * The projection: how a place that wears stands now. Distances in effective metres.
 *
 * @property int $planter_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property string|null $fitting_id
 * @property float|null $size millimetres, expected now
 * @property float $use_m
 * @property float|null $rate millimetres a metre
 * @property float|null $left10_m
 * @property float|null $left50_m
 * @property float|null $left90_m
 * @property float|null $chance
 * @property int $readings
 * @property bool $thin
 * @property list<string> $outliers ids of readings
 * @property string|null $grown id of a reading
 * @property bool $grows_back
 */
final class Forecast extends Model
{
    use OfPlace;

    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'size' => 'float',
        'use_m' => 'float',
        'rate' => 'float',
        'left10_m' => 'float',
        'left50_m' => 'float',
        'left90_m' => 'float',
        'chance' => 'float',
        'thin' => 'boolean',
        'grows_back' => 'boolean',
        'outliers' => 'array',
    ];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsDay;
use App\Models\Concerns\IsHeld;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

/**
 * One field that a planter has planted on a day: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property Day $day
 * @property string $field
 * @property string|null $crop
 * @property string $acres of the whole planter
 * @property string|null $mph
 * @property Soil|null $soil
 * @property Residue|null $residue
 * @property Tillage|null $tillage
 * @property DownforceLevel|null $downforce how hard the rows were pressed down
 * @property string $severity of the ground by the shop's figures, which may change, or its own
 * @property bool $own_severity the shop's own figure
 * @property array<int, float> $shares by row, the share of it that the row ran
 * @property bool $withdrawn
 * @property string|null $supersedes
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $sent_sha256
 * @property User $user
 */
final class AcresEntry extends Model
{
    use HasUuids;
    use IsHeld;

    public $timestamps = false;

    protected $table = 'acres_log';

    protected $guarded = [];

    protected $casts = [
        'day' => AsDay::class,
        'soil' => Soil::class,
        'residue' => Residue::class,
        'tillage' => Tillage::class,
        'downforce' => DownforceLevel::class,
        'own_severity' => 'boolean',
        'shares' => 'array',
        'withdrawn' => 'boolean',
        'recorded_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\Concerns\HasCurrent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Settings\SettingGround;
use Ustrel\Core\Field\Settings\SettingKey;
use Ustrel\Core\Field\Settings\SettingValue;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;

/**
 * Something on a planter was set to something: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property int $row_number 0 for the planter as a whole
 * @property SettingKey $key
 * @property string $value as it is said
 * @property string|null $figure in the unit of its key
 * @property DepthScale|null $depth_scale that its depth mark is on; null of other settings, and where it was not kept
 * @property string $field
 * @property string $crop
 * @property Soil|null $soil
 * @property Residue|null $residue
 * @property string $note
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class Setting extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['key' => SettingKey::class, 'depth_scale' => DepthScale::class, 'soil' => Soil::class, 'residue' => Residue::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    public function made(): SettingValue
    {
        return new SettingValue($this->id, $this->key, $this->row_number, $this->value, new SettingGround($this->field, $this->crop, $this->soil, $this->residue), Moment::of($this->happened_at->toIso8601ZuluString('millisecond')));
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Concerns\HasCurrent;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Meter\Places\MeterPlacement;
use Ustrel\Core\Meter\Places\MeterTo;

/**
 * A meter was put somewhere: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $workshop_id
 * @property int $meter_id
 * @property MeterTo $to
 * @property int|null $planter_id
 * @property int|null $row_number
 * @property string $place in own words
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 */
final class MeterMove extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['to' => MeterTo::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    public function move(): MeterPlacement
    {
        return new MeterPlacement($this->id, $this->meter_id, $this->planter_id === null ? null : [$this->planter_id, (int) $this->row_number], Moment::of($this->happened_at->toIso8601ZuluString('millisecond')));
    }

    protected function owner(): string
    {
        return 'workshop_id';
    }
}

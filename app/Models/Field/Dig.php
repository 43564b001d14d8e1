<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\Concerns\HasCurrent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Wear\Acres\Residue;

/**
 * One row that was dug on a pass over the field: only ever added to, a correction supersedes. Lengths in millimetres.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property int $pass
 * @property int $row_number
 * @property string $field
 * @property string $target depth that is wanted
 * @property string|null $spacing of seeds, as it is set
 * @property string|null $notch depth of one
 * @property string|null $mark notch, mark or turn that the row stood at
 * @property list<float> $depths
 * @property list<float> $spacings
 * @property list<string> $seen
 * @property string $spot where in the field
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
final class Dig extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['depths' => 'array', 'spacings' => 'array', 'seen' => 'array', 'residue' => Residue::class, 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    public function dug(): DugRow
    {
        return new DugRow(array_map(floatval(...), $this->depths), array_map(floatval(...), $this->spacings));
    }

    /** @return list<DigSign> */
    public function signs(): array
    {
        return array_map(DigSign::from(...), $this->seen);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

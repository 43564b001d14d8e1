<?php

declare(strict_types=1);

namespace App\Models\Field;

use App\Models\Concerns\HasCurrent;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\Dig\SignOffKind;

/**
 * Somebody vouches for a planter: only ever added to, a correction supersedes.
 *
 * @property string $id made on the device
 * @property int $planter_id
 * @property SignOffKind $kind
 * @property string $field
 * @property list<int> $rows that did not drop
 * @property string $words
 * @property list<array{key: string, said: string, answer: string}> $answers what was open, and what was said of it
 * @property CarbonImmutable $happened_at
 * @property CarbonImmutable $recorded_at
 * @property int $user_id
 * @property string|null $supersedes
 * @property bool $withdrawn
 * @property string|null $sent_sha256
 * @property User $user
 */
final class SignOff extends Model
{
    use HasCurrent;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['answers' => '[]'];

    protected $casts = ['kind' => SignOffKind::class, 'rows' => 'array', 'answers' => 'array', 'withdrawn' => 'boolean', 'happened_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

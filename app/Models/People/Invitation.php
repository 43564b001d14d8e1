<?php

declare(strict_types=1);

namespace App\Models\People;

use App\Models\Concerns\IsWatched;
use App\Models\User;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A link by which somebody joins a workshop, once.
 *
 * @property int $id
 * @property int $workshop_id
 * @property Role $role
 * @property string|null $email whom alone it is for; null: whoever has it
 * @property string $link_sha256
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $withdrawn_at
 * @property CarbonImmutable|null $accepted_at
 * @property int $made_by
 * @property Workshop $workshop
 * @property User $maker
 */
final class Invitation extends Model
{
    use IsWatched;

    protected $guarded = [];

    protected $casts = ['role' => Role::class, 'expires_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime', 'accepted_at' => 'immutable_datetime'];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return BelongsTo<User, $this> */
    public function maker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'made_by');
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> those that can still be taken up
     */
    public function scopeOpen(Builder $query): Builder
    {
        return $query->whereNull('accepted_at')->whereNull('withdrawn_at')->where('expires_at', '>', now());
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['link_sha256', 'accepted_at', 'accepted_by'];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\IsWatched;
use App\Models\People\DeviceSession;
use App\Models\People\Role;
use Carbon\CarbonImmutable;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Ustrel\Core\Measure\UnitSystem;

/**
 * Somebody of a workshop, or a guest of it. The record keeps the name of one who has left.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string|null $email null for a guest
 * @property string|null $password null for a guest
 * @property Role $role
 * @property UnitSystem $units
 * @property 'device'|'light'|'dark' $theme
 * @property CarbonImmutable|null $deactivated_at since when not let in any more
 * @property int|null $planter_id the one that a guest may look at
 * @property string|null $link_sha256 of the link that a guest comes by
 * @property CarbonImmutable|null $link_expires_at
 * @property int|null $made_by who made a guest's link
 * @property Workshop $workshop
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use IsWatched;
    use Notifiable;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'link_sha256'];

    protected $attributes = ['theme' => 'device'];

    protected $casts = [
        'password' => 'hashed', 'units' => UnitSystem::class, 'role' => Role::class,
        'deactivated_at' => 'immutable_datetime', 'link_expires_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    /** @return HasMany<DeviceSession, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(DeviceSession::class);
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> those who are let in
     */
    public function scopeLetIn(Builder $query): Builder
    {
        return $query->whereNull('deactivated_at')->where(static fn (Builder $way): Builder => $way->whereNull('link_expires_at')->orWhere('link_expires_at', '>', now()));
    }

    public function isLetIn(): bool
    {
        return $this->deactivated_at === null && ($this->link_expires_at === null || $this->link_expires_at->isFuture());
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['password', 'remember_token', 'link_sha256', 'theme', 'units'];
    }
}

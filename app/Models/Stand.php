<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as CanBeAuthenticated;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * A test stand of a workshop: a device that delivers runs, and may do nothing else.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property int $user_id who let it in
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $heard_at
 * @property Workshop $workshop
 */
final class Stand extends Model implements CanBeAuthenticated
{
    use Authenticatable;

    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    /** All that its token may do. */
    public const DELIVERS = 'stand';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['made_at' => 'immutable_datetime', 'heard_at' => 'immutable_datetime'];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}

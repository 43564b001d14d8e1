<?php

declare(strict_types=1);

namespace App\Models\Bench;

use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as CanBeAuthenticated;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * A test stand or a row monitor of a workshop: a device that delivers what it counts, and may do nothing else.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property 'stand'|'monitor' $kind which is all that its token may deliver
 * @property int $user_id who let it in
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $heard_at
 * @property Workshop $workshop
 */
final class Device extends Model implements CanBeAuthenticated
{
    use Authenticatable;

    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    public const STAND = 'stand';

    public const MONITOR = 'monitor';

    protected $table = 'stands';

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['kind' => self::STAND];

    protected $casts = ['made_at' => 'immutable_datetime', 'heard_at' => 'immutable_datetime'];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}

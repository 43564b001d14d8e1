<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Ustrel\Core\Measure\UnitSystem;

/**
 * A technician of a workshop.
 *
 * @property int $id
 * @property int $workshop_id
 * @property string $name
 * @property string $email
 * @property UnitSystem $units
 * @property string $theme device, light or dark
 * @property Workshop $workshop
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'units' => UnitSystem::class];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }
}

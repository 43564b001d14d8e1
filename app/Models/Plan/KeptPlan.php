<?php

declare(strict_types=1);

namespace App\Models\Plan;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * The plan of work that is kept, of one planter or of all of a workshop together.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int|null $planter_id null: all together
 * @property int $revision counts how often it was kept anew
 * @property list<array{planter: int, jobs: list<string>, person: string, starts: string, minutes: int, by_hand: bool, with?: list<string>}> $pieces jobs by key; begins as the shop's clock has it
 * @property array<int, string> $planting days, by planter
 * @property int $user_id
 * @property string|null $sent_sha256 what it was asked for with; null of plans of before
 * @property CarbonImmutable $made_at
 * @property User $user
 */
final class KeptPlan extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'pieces' => 'array',
        'planting' => 'array',
        'made_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}

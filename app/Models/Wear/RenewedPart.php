<?php

declare(strict_types=1);

namespace App\Models\Wear;

use App\Models\Casts\AsKey;
use App\Models\Concerns\OfPlace;
use App\Models\Walk\Walk;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Result;

/**
 * The projection: a place of a walk that was given another part, or set anew, since it was looked at.
 *
 * @property string $walk_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property Result $result
 * @property string|null $value
 * @property Verdict $verdict
 * @property list<array{code: string, ref: float|null, unit: string|null, on?: string}> $reasons
 * @property float|null $life_left 0 to 1
 * @property CarbonImmutable $happened_at
 */
final class RenewedPart extends Model
{
    use OfPlace;

    public $incrementing = false;

    protected $table = 'renewals';

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'result' => Result::class,
        'verdict' => Verdict::class,
        'reasons' => 'array',
        'life_left' => 'float',
        'happened_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Walk, $this> */
    public function walk(): BelongsTo
    {
        return $this->belongsTo(Walk::class);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Walk;

use App\Models\Casts\AsKey;
use App\Models\Concerns\OfPlace;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Result;

/**
 * The projection: what holds at a place of a walk, with its verdict.
 *
 * @property string $walk_id
 * @property int $planter_id
 * @property int $season
 * @property string $reading_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property Result $result
 * @property string|null $value in the check's unit
 * @property State|null $state
 * @property list<string> $chips
 * @property Verdict $verdict
 * @property list<array{code: string, ref: float|null, unit: string|null}> $reasons
 * @property float|null $life_left 0 to 1
 * @property CarbonImmutable $taken_at
 */
final class Cell extends Model
{
    use OfPlace;

    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
        'result' => Result::class,
        'state' => State::class,
        'chips' => 'array',
        'verdict' => Verdict::class,
        'reasons' => 'array',
        'life_left' => 'float',
        'taken_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Walk, $this> */
    public function walk(): BelongsTo
    {
        return $this->belongsTo(Walk::class);
    }

    /** @return BelongsTo<Reading, $this> */
    public function reading(): BelongsTo
    {
        return $this->belongsTo(Reading::class);
    }
}

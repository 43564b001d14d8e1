<?php

declare(strict_types=1);

namespace App\Models\Wear;

use App\Models\Casts\AsKey;
use App\Models\Concerns\OfPlace;
use App\Models\Walk\Walk;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

/**
 * The projection: from which size on a reading of a walk will not last the season.
 *
 * @property string $walk_id
 * @property int $row_number 1..N from the left; 0 for the planter as a whole
 * @property CheckKey $check_key
 * @property Side $side
 * @property string $turns_at millimetres
 */
final class Outlook extends Model
{
    use OfPlace;

    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = null;

    protected $guarded = [];

    protected $casts = [
        'check_key' => AsKey::class.':'.CheckKey::class,
        'side' => Side::class,
    ];

    /** @return BelongsTo<Walk, $this> */
    public function walk(): BelongsTo
    {
        return $this->belongsTo(Walk::class);
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Spec\SpecSheet as Sheet;
use Ustrel\Core\Spec\SpecSheetReader;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/**
 * One inspection of one planter, with the figures it is judged by.
 *
 * @property string $id
 * @property int $planter_id
 * @property int $season the year of planting
 * @property WalkKind $kind
 * @property WalkOrder $walk_order
 * @property int $row_count
 * @property array<string, mixed> $sheet shape: docs/formats.md
 * @property int $places_per_row
 * @property int $started_by
 * @property CarbonImmutable $started_at
 * @property int|null $finished_by
 * @property CarbonImmutable|null $finished_at
 * @property CarbonImmutable|null $reopened_at
 * @property Planter $planter
 */
final class Walk extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'kind' => WalkKind::class,
        'walk_order' => WalkOrder::class,
        'sheet' => 'array',
        'started_at' => 'immutable_datetime',
        'finished_at' => 'immutable_datetime',
        'reopened_at' => 'immutable_datetime',
    ];

    /** @return BelongsTo<Planter, $this> */
    public function planter(): BelongsTo
    {
        return $this->belongsTo(Planter::class);
    }

    public function isFinished(): bool
    {
        return $this->finished_at !== null;
    }

    public function readSheet(): Sheet
    {
        return SpecSheetReader::read($this->sheet);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Walk;

use App\Models\Concerns\HasRowUnits;
use App\Models\Planter;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Spec\Sheet;
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
 * @property array<string, mixed> $equipment what most rows carried, and the planter as a whole
 * @property list<array{rows: list<int>, equipment: array<string, string|bool|int|null>, sheet: array<string, mixed>|null}> $other_rows rows that differed, with their own figures where they had any
 * @property list<int> $parked_rows
 * @property array<string, string> $wanted targets of the planter itself, each with its unit, by check key
 * @property list<string>|null $checks keys of the checks that are walked; null for all
 * @property list<int> $row_places how many readings each row takes of the checks that are walked, from the left
 * @property int $planter_places whole-planter checks that are walked
 * @property string|null $pack name of the pack that it was started with
 * @property int $started_by
 * @property CarbonImmutable $started_at
 * @property int|null $finished_by
 * @property CarbonImmutable|null $finished_at
 * @property CarbonImmutable|null $reopened_at
 * @property CarbonImmutable|null $cautions_acknowledged_at
 * @property string|null $planned_acres what the season was to bring when the walk was made
 * @property DepthStrategy $depth_school
 * @property array<string, float> $measuring_sd how far the shop measured off, millimetres by check key
 * @property string $watch_chance over this chance of reaching the limit a part is watched, 0 to 1
 * @property int $guide_revision counts the changes that make a device get its guide anew
 * @property bool $imported past readings from files
 * @property Planter $planter
 */
final class Walk extends Model
{
    use HasRowUnits;
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['equipment' => '{}', 'other_rows' => '[]', 'parked_rows' => '[]', 'wanted' => '{}', 'row_places' => '[]', 'checks' => null, 'pack' => null, 'finished_by' => null, 'finished_at' => null, 'planned_acres' => null, 'watch_chance' => '0.2', 'measuring_sd' => '{}', 'depth_school' => 'handle', 'guide_revision' => 0, 'imported' => false];

    protected $casts = [
        'kind' => WalkKind::class,
        'walk_order' => WalkOrder::class,
        'sheet' => 'array',
        'equipment' => 'array',
        'other_rows' => 'array',
        'parked_rows' => 'array',
        'wanted' => 'array',
        'row_places' => 'array',
        'checks' => 'array',
        'measuring_sd' => 'array',
        'depth_school' => DepthStrategy::class,
        'imported' => 'boolean',
        'cautions_acknowledged_at' => 'immutable_datetime',
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

    public function began(): Moment
    {
        return Moment::ofMilliseconds($this->started_at->getTimestampMs());
    }

    protected function writtenSheet(): string
    {
        return (string) $this->attributes['sheet'];
    }

    protected function otherRows(): array
    {
        return $this->other_rows;
    }

    /** The checks that are walked today. */
    public function scope(): Sheet
    {
        $sheet = $this->readSheet();

        return $this->checks === null ? $sheet : $sheet->only($this->checks);
    }

    /** How many readings the whole walk takes. */
    public function places(): int
    {
        return array_sum($this->row_places) + $this->planter_places;
    }

    /** The counts that go with the figures, the equipment and the choice of checks. */
    public function countPlaces(): self
    {
        $scope = $this->scope();
        $this->row_places = array_map($scope->placesOfRow(...), range(1, $this->row_count));
        $this->planter_places = $scope->placesOfPlanter();

        return $this;
    }
}

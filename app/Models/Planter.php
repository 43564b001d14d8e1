<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Bench\StandRun;
use App\Models\Casts\AsDay;
use App\Models\Concerns\HasRowUnits;
use App\Models\Concerns\HasVersion;
use App\Models\Concerns\IsWatched;
use App\Models\Field\WatchRun;
use App\Models\Record\Import;
use App\Models\Walk\Walk;
use App\Models\Work\Joint;
use Carbon\CarbonImmutable;
use Database\Factories\PlanterFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Season\Season;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Unit\ParkedRows;

/**
 * A planter: N row units on a toolbar.
 *
 * @property int $id
 * @property int $workshop_id
 * @property int $spec_sheet_id
 * @property string $farm
 * @property string $name
 * @property int $row_count 1 to 48, of a drill to 64
 * @property string $spacing_mm
 * @property string $spacing_typed
 * @property list<int> $sections rows in each section of the toolbar, from the left; they add up to row_count
 * @property list<array{kind: string, name: string, rows: list<int>}> $shared what rows share: motors, tanks, manifolds, fans, sections
 * @property array<string, mixed> $equipment what most rows carry, and the planter as a whole; shape: docs/formats.md
 * @property list<array{rows: list<int>, spec_sheet_id: int|null, equipment: array<string, string|bool|int|null>}> $other_rows rows that differ, each in one of them, with what they carry instead
 * @property list<int> $parked_rows rows that are up and do not plant
 * @property list<array{until: string, rows: list<int>}> $formerly_parked rows that were up before that, the oldest first
 * @property array<string, string> $wanted targets of the planter itself, each with its unit, by check key
 * @property Day|null $planting_start
 * @property string|null $planned_acres of the season that is being prepared
 * @property int|null $planting_days from the first to the last day of planting
 * @property bool $is_sample made up, to play with
 * @property int $revision counts the changes of all that hangs on the planter
 * @property Workshop $workshop
 * @property SpecSheet $specSheet
 */
final class Planter extends Model
{
    /** @use HasFactory<PlanterFactory> */
    use HasFactory;

    use HasRowUnits;
    use HasVersion;
    use IsWatched;

    protected $guarded = [];

    protected $attributes = ['equipment' => '{}', 'other_rows' => '[]', 'parked_rows' => '[]', 'formerly_parked' => '[]', 'wanted' => '{}', 'shared' => '[]', 'planned_acres' => null, 'planting_days' => null, 'is_sample' => false];

    protected $casts = [
        'sections' => 'array',
        'shared' => 'array',
        'equipment' => 'array',
        'other_rows' => 'array',
        'parked_rows' => 'array',
        'formerly_parked' => 'array',
        'wanted' => 'array',
        'planting_start' => AsDay::class,
        'is_sample' => 'boolean',
    ];

    /** @return BelongsTo<Workshop, $this> */
    public function workshop(): BelongsTo
    {
        return $this->belongsTo(Workshop::class);
    }

    /** @return BelongsTo<SpecSheet, $this> */
    public function specSheet(): BelongsTo
    {
        return $this->belongsTo(SpecSheet::class);
    }

    /** @return HasMany<Joint, $this> */
    public function joints(): HasMany
    {
        return $this->hasMany(Joint::class);
    }

    /** @return HasMany<StandRun, $this> */
    public function standRuns(): HasMany
    {
        return $this->hasMany(StandRun::class);
    }

    /** @return HasMany<WatchRun, $this> */
    public function watchRuns(): HasMany
    {
        return $this->hasMany(WatchRun::class);
    }

    /** @return HasMany<Walk, $this> */
    public function walks(): HasMany
    {
        return $this->hasMany(Walk::class);
    }

    /** @return HasMany<Import, $this> */
    public function imports(): HasMany
    {
        return $this->hasMany(Import::class);
    }

    protected function writtenSheet(): string
    {
        return (string) $this->specSheet->getAttributes()['sheet'];
    }

    protected function otherRows(): array
    {
        $named = array_filter(array_column($this->other_rows, 'spec_sheet_id'));
        $sheets = $named === [] ? [] : SpecSheet::query()->findOrFail(array_values(array_unique($named)))->keyBy('id')->all();

        return array_map(static fn (array $other): array => [
            'rows' => $other['rows'],
            'equipment' => $other['equipment'],
            'sheet' => $other['spec_sheet_id'] === null ? null : $sheets[$other['spec_sheet_id']]->sheet,
        ], $this->other_rows);
    }

    /** How the planter's days fall into seasons. */
    public function seasons(): Season
    {
        return Season::startingOn($this->planting_start);
    }

    /** The season in which something happened, by the workshop's own day. */
    public function seasonAt(string $moment): int
    {
        return $this->seasons()->of(Moment::ofMilliseconds(CarbonImmutable::parse($moment)->getTimestampMs())->day($this->workshop->zone()));
    }

    /** The season that is being prepared or planted. */
    public function season(): int
    {
        return $this->planting_start?->year() ?? $this->workshop->today()->year();
    }

    /** Negative once planting has begun; null where no day is set. */
    public function daysToPlanting(): ?int
    {
        return $this->planting_start === null ? null : $this->workshop->today()->daysUntil($this->planting_start);
    }

    public function spacing(): Length
    {
        return Length::ofMillimetres($this->spacing_mm);
    }

    /** Between the rows that plant: with every second one parked, twice that of the toolbar. */
    public function plantedSpacing(): Length
    {
        return $this->spacingWith($this->parked_rows);
    }

    /** The same as it was at a moment. */
    public function plantedSpacingAt(Moment $moment): Length
    {
        return $this->spacingWith($this->parked()->at($moment));
    }

    /** The same as a day ended. */
    public function plantedSpacingOn(Day $day): Length
    {
        return $this->spacingWith($this->parkedOn($day));
    }

    public function parked(): ParkedRows
    {
        return new ParkedRows($this->parked_rows, $this->formerly_parked);
    }

    /** @return list<int> rows that were up as a day ended, by the workshop's own day */
    public function parkedOn(Day $day): array
    {
        return $this->parked()->at(Moment::ofMilliseconds($day->end($this->workshop->zone())->milliseconds - 1));
    }

    /** @param  list<int>  $rows  that are up from a moment on */
    public function park(array $rows, Moment $from): void
    {
        $parked = $this->parked()->from($from, $rows);
        [$this->parked_rows, $this->formerly_parked] = [$parked->now, $parked->before];
    }

    /** @param  list<int>  $parked */
    private function spacingWith(array $parked): Length
    {
        return Length::ofMillimetres((string) ((float) $this->spacing_mm * RowUnits::apart($this->row_count, $parked)));
    }

    /** @return list<int> rows that plant, from the left */
    public function runningRows(): array
    {
        return RowUnits::without($this->row_count, $this->parked_rows);
    }

    /** The open walk of this planter, of which there is at most one. */
    public function openWalk(): ?Walk
    {
        return $this->walks()->whereNull('finished_at')->first();
    }

    /** The open walk, or else the newest of this season; null where it has none yet. */
    public function walkThatMatters(): ?Walk
    {
        return $this->walks()
            ->where(fn (Builder $walks): Builder => $walks->whereNull('finished_at')->orWhere('season', '>=', $this->season()))
            ->orderByRaw('finished_at IS NULL DESC, started_at DESC, id DESC')
            ->first();
    }

    /** The name of the pack that it was last walked with. */
    public function lastPack(): ?string
    {
        return $this->walks()->whereNotNull('pack')->latest('started_at')->value('pack');
    }

    /** @return list<string> */
    protected function unwatched(): array
    {
        return ['revision', 'spacing_mm', 'formerly_parked'];
    }

    /** @return list<string> */
    protected function written(): array
    {
        return ['farm', 'name', 'row_count', 'spacing_typed', 'sections', 'spec_sheet_id', 'equipment', 'other_rows', 'parked_rows', 'wanted', 'planting_start', 'planned_acres', 'planting_days'];
    }
}

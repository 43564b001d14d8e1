<?php

declare(strict_types=1);

namespace App\Projections;

use App\Models\Walk;
use App\Queries\LastReading;
use App\Queries\LastReadings;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judgement;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\RowSummary;

/**
 * Turns the readings of a walk into its current state: the tables cells and walk_rows.
 *
 * Of several readings at one place the one taken last holds (by time taken, then by id), in whatever order they came
 * in. To be called in the transaction that wrote the readings or the figures.
 */
final readonly class WalkProjector
{
    private const PLACE = ['walk_id', 'row_number', 'check_key', 'side'];

    public function __construct(private LastReadings $lastReadings)
    {
    }

    /** @param  list<int>|null  $rows only these rows; all by default */
    public function project(Walk $walk, ?array $rows = null): void
    {
        $sheet = $walk->readSheet();
        $last = $this->lastReadings->before($walk->planter_id, $walk->season, $rows);

        $cells = [];
        foreach ($this->newestReadings($walk, $rows) as $reading) {
            $cells[] = $this->cell($walk, $sheet, $reading, $last);
        }
        foreach (array_chunk($cells, 1000) as $chunk) {
            DB::table('cells')->upsert($chunk, self::PLACE);
        }

        $lines = $this->rowSummaries($walk, $cells);
        DB::table('walk_rows')->upsert($lines, ['walk_id', 'row_number']);
    }

    /** A later season's verdicts look back at this walk: after it has changed they are drawn up again. */
    public function projectLaterSeasons(Walk $walk): void
    {
        $later = Walk::query()
            ->where('planter_id', $walk->planter_id)
            ->where('season', '>', $walk->season)
            ->orderBy('season')
            ->get();
        foreach ($later as $next) {
            $this->project($next);
        }
    }

    /**
     * @param  list<int>|null  $rows
     * @return Collection<int, stdClass>
     */
    private function newestReadings(Walk $walk, ?array $rows): Collection
    {
        return DB::table('readings')
            ->selectRaw('DISTINCT ON (row_number, check_key, side) *')
            ->where('walk_id', $walk->id)
            ->when($rows !== null, static fn ($readings) => $readings->whereIn('row_number', $rows))
            ->orderByRaw('row_number, check_key, side, taken_at DESC, id DESC')
            ->get();
    }

    /**
     * @param  array<string, LastReading>  $last
     * @return array<string, mixed>
     */
    private function cell(Walk $walk, SpecSheet $sheet, stdClass $reading, array $last): array
    {
        $value = $reading->millimetres === null ? null : Length::ofMillimetres($reading->millimetres);
        $check = $sheet->check(CheckKey::from($reading->check_key));
        $before = $last["{$reading->row_number}:{$reading->check_key}:{$reading->side}"] ?? null;

        $judgement = match (true) {
            $reading->result === Result::NotFitted->value => Judgement::notFitted(),
            $value !== null && $check !== null => $check->rule->judge($value, $before?->value),
            // Withdrawn, or the check has since left the spec sheet.
            default => Judgement::of(Verdict::Unchecked),
        };

        return [
            'walk_id' => $walk->id,
            'row_number' => $reading->row_number,
            'check_key' => $reading->check_key,
            'side' => $reading->side,
            'planter_id' => $walk->planter_id,
            'season' => $walk->season,
            'reading_id' => $reading->id,
            'result' => $reading->result,
            'millimetres' => $reading->millimetres,
            'verdict' => $judgement->verdict->value,
            'reasons' => json_encode(array_map(ReasonShape::of(...), $judgement->reasons), JSON_THROW_ON_ERROR),
            'life_left' => $value !== null && $check !== null ? round($check->rule->lifeLeft($value), 4) : null,
            'taken_at' => $reading->taken_at,
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $cells
     * @return list<array<string, mixed>>
     */
    private function rowSummaries(Walk $walk, array $cells): array
    {
        $lines = [];
        foreach (collect($cells)->groupBy('row_number') as $row => $ofRow) {
            $checked = $ofRow->where('verdict', '!=', Verdict::Unchecked->value);
            $summary = RowSummary::of(
                (int) $row,
                array_values($checked->map(static fn (array $cell): Verdict => Verdict::from($cell['verdict']))->all()),
                array_values($checked->pluck('life_left')->filter(static fn (?float $life): bool => $life !== null)->all()),
            );
            $lines[] = [
                'walk_id' => $walk->id,
                'row_number' => $summary->row,
                'verdict' => $summary->verdict->value,
                'life_left' => $summary->lifeLeft,
                'checked' => $summary->checked,
            ];
        }

        return $lines;
    }
}

<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk;
use App\Parts\ChangedParts;
use App\Parts\Renewals;
use App\Record\Instant;
use App\Walk\Board\StoredAnswer;
use App\Wear\OutlookProjector;
use App\Wear\OutlookQuery;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Background;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judgement;
use Ustrel\Core\Spec\Outlook;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Spec\Verdict;
use Ustrel\Core\Walk\Result;

/**
 * Turns the readings of a walk, and what was fitted since, into its current state: the tables cells, renewals and walk_rows.
 *
 * Of several readings at one place the one taken last holds (by time taken, then by id), in whatever order they came
 * in. To be called in the transaction that wrote the readings or the figures.
 */
final readonly class WalkProjector
{
    private const PLACE = ['walk_id', 'row_number', 'check_key', 'side'];

    public function __construct(
        private OutlookProjector $outlooks,
        private OutlookQuery $kept,
        private RowProjector $rows,
    ) {
    }

    /** @param  list<int>|null  $rows only these rows, with the checks of others that compare rows; all by default, and what the coming season holds for them */
    public function project(Walk $walk, ?array $rows = null): void
    {
        $sheet = $walk->readSheet();
        $comparing = array_keys(array_filter($sheet->checks, static fn (Check $check): bool => $check->comparesRows()));
        $readings = $this->newestReadings($walk, $rows, $comparing);
        $touched = $rows === null || $readings->whereIn('row_number', $rows)->whereIn('check_key', $comparing)->isNotEmpty() ? null : $rows;
        $outlooks = $rows === null ? $this->outlooks->project($walk) : $this->kept->kept($walk, $touched);
        $figures = self::figuresByCheck($readings, $comparing);

        $cells = [];
        $takenAt = [];
        foreach ($readings as $reading) {
            if ($touched === null || in_array($reading->row_number, $touched, true)) {
                $key = "{$reading->row_number}:{$reading->check_key}:{$reading->side}";
                $takenAt[$key] = $reading->at;
                $cells[] = $this->cell($walk, $sheet, $reading, $outlooks[$key] ?? null, $figures[$reading->check_key] ?? []);
            }
        }
        foreach (array_chunk($cells, 1000) as $chunk) {
            DB::table('cells')->upsert($chunk, self::PLACE);
        }
        ChangedParts::mark($walk->planter_id, $walk->id);
        // Of the other rows only what compares them was read, and no part is looked at by that.
        $this->renew($walk, Renewals::of($walk, $sheet, $takenAt, $outlooks, $rows), $rows);
        $this->rows->project($walk, $touched);
        if ($rows === null) {
            $this->outlooks->name($walk);
        }
    }

    /** Later walks look back at this one: after it has changed they are drawn up again. */
    public function projectLater(Walk $walk): void
    {
        $later = Walk::query()
            ->where('planter_id', $walk->planter_id)
            ->where('started_at', '>', $walk->started_at)
            ->orderBy('started_at')
            ->get();
        foreach ($later as $next) {
            $this->project($next->setRelation('planter', $walk->planter));
        }
    }

    /**
     * @param  list<array<string, mixed>>  $renewals
     * @param  list<int>|null  $rows
     */
    private function renew(Walk $walk, array $renewals, ?array $rows): void
    {
        DB::table('renewals')->where('walk_id', $walk->id)->when($rows !== null, static fn ($old) => $old->whereIn('row_number', $rows))->delete();
        foreach (array_chunk($renewals, 1000) as $chunk) {
            DB::table('renewals')->insert($chunk);
        }
    }

    /**
     * @param  list<int>|null  $rows
     * @param  list<string>  $comparing
     * @return Collection<int, stdClass>
     */
    private function newestReadings(Walk $walk, ?array $rows, array $comparing): Collection
    {
        return DB::table('readings')
            ->selectRaw('DISTINCT ON (row_number, check_key, side) *, '.Instant::sql('taken_at').' AS at')
            ->where('walk_id', $walk->id)
            ->when($rows !== null, static fn ($readings) => $readings->where(
                static fn ($which) => $which->whereIn('row_number', $rows)->orWhereIn('check_key', $comparing),
            ))
            ->orderByRaw('row_number, check_key, side, taken_at DESC, id DESC')
            ->get();
    }

    /**
     * @param  Collection<int, stdClass>  $readings
     * @param  list<string>  $checks
     * @return array<string, list<Quantity>>
     */
    private static function figuresByCheck(Collection $readings, array $checks): array
    {
        $figures = [];
        foreach ($readings->whereIn('check_key', $checks) as $reading) {
            $quantity = StoredAnswer::of($reading)?->quantity;
            if ($quantity !== null) {
                $figures[$reading->check_key][] = $quantity;
            }
        }

        return $figures;
    }

    /**
     * @param  list<Quantity>  $rows  what all rows read at this check, where it compares them
     * @return array<string, mixed>
     */
    private function cell(Walk $walk, SpecSheet $sheet, stdClass $reading, ?Outlook $outlook, array $rows): array
    {
        $answer = StoredAnswer::of($reading);
        $check = $sheet->check(CheckKey::from($reading->check_key));

        $judgement = match (true) {
            // Withdrawn, or the check has since left the spec sheet.
            $check === null || $reading->result === Result::Withdrawn->value => Judgement::of(Verdict::Unchecked),
            $reading->result === Result::NotFitted->value => Judgement::notFitted(),
            $answer === null => Judgement::lookedSound(),
            default => $check->judge($answer, Background::ofRows($outlook, $rows)),
        };
        $life = $answer?->quantity === null ? null : $check?->rule->lifeLeft($answer->quantity);

        return [
            'walk_id' => $walk->id,
            'row_number' => $reading->row_number,
            'check_key' => $reading->check_key,
            'side' => $reading->side,
            'planter_id' => $walk->planter_id,
            'season' => $walk->season,
            'reading_id' => $reading->id,
            'result' => $reading->result,
            'value' => $reading->value,
            'state' => $reading->state,
            'chips' => $reading->chips,
            'verdict' => $judgement->verdict->value,
            'reasons' => json_encode(array_map(ReasonShape::of(...), $judgement->reasons), JSON_THROW_ON_ERROR),
            'life_left' => $life === null ? null : round($life, 4),
            'taken_at' => $reading->taken_at,
        ];
    }
}

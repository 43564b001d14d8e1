<?php

declare(strict_types=1);

namespace App\Actions\Walk;

use App\Models\User;
use App\Models\Walk;
use App\Projections\WalkProjector;
use App\Queries\LastReading;
use App\Queries\LastReadings;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Plausibility;
use Ustrel\Core\Walk\Result;

/**
 * Keeps a batch of readings: each is stored, known, doubted or refused on its own, and all that are stored are stored
 * together with the walk's new state. Sending a batch again changes nothing.
 */
final readonly class StoreReadings
{
    public function __construct(
        private LastReadings $lastReadings,
        private WalkProjector $projector,
    ) {
    }

    /**
     * @param  list<mixed>  $items  shape of each: the Reading schema of the OpenAPI document
     * @return list<Receipt> one for each item, in the same order
     */
    public function __invoke(Walk $walk, User $by, array $items): array
    {
        return DB::transaction(function () use ($walk, $by, $items): array {
            // Two people on one walk take turns here, so that each sees the other's readings.
            $walk = Walk::query()->lockForUpdate()->findOrFail($walk->id);
            $sheet = $walk->readSheet();
            $last = $this->lastReadings->before($walk->planter_id, $walk->season);
            $known = $this->known($items);
            $current = $this->currentValues($walk);

            $receipts = [];
            $rows = [];
            foreach ($items as $index => $item) {
                try {
                    $input = ReadingInput::from($item, $sheet, $walk->row_count);
                    $value = $this->value($input, $last);
                } catch (RefusedReading $refused) {
                    $id = is_array($item) && is_string($item['id'] ?? null) ? $item['id'] : null;
                    $receipts[] = Receipt::refused($index, $id, $refused->getMessage());

                    continue;
                }

                $row = $this->row($walk, $by, $input, $value);
                $earlier = $known[$input->id] ?? $rows[$input->id] ?? null;
                if ($earlier !== null) {
                    $receipts[] = self::saysTheSame($earlier, $row)
                        ? Receipt::of($index, $input->id, Outcome::Known)
                        : Receipt::conflict($index, $input->id);

                    continue;
                }
                if ($walk->isFinished()) {
                    $receipts[] = Receipt::refused($index, $input->id, __('refused.walk_finished'));

                    continue;
                }
                $doubts = $this->doubts($input, $value, $sheet, $last, $current);
                if ($doubts !== []) {
                    $receipts[] = Receipt::doubtful($index, $input->id, $doubts);

                    continue;
                }

                $rows[$input->id] = $row;
                $current[$input->place->check->value][$input->place->key()] = $value;
                $receipts[] = Receipt::of($index, $input->id, Outcome::Stored);
            }
            $this->store($walk, array_values($rows));

            return $receipts;
        });
    }

    /**
     * @param  array<string, LastReading>  $last
     *
     * @throws RefusedReading
     */
    private function value(ReadingInput $input, array $last): ?Length
    {
        if ($input->result !== Result::Measured || $input->entry === Entry::Typed) {
            return $input->value;
        }

        return ($last[$input->place->key()] ?? throw RefusedReading::because('no_last_time', ['row' => $input->place->row]))->value;
    }

    /**
     * @param  array<string, LastReading>  $last
     * @param  array<string, array<string, Length|null>>  $current
     * @return list<array{code: string, ref_mm: float}>
     */
    private function doubts(ReadingInput $input, ?Length $value, SpecSheet $sheet, array $last, array $current): array
    {
        $check = $sheet->check($input->place->check);
        if ($value === null || $check === null || $input->confirmed || $input->entry === Entry::SameAsLast) {
            return [];
        }
        $rest = $current[$check->key->value] ?? [];
        unset($rest[$input->place->key()]);
        $doubts = Plausibility::ofPlace($check->rule, ($last[$input->place->key()] ?? null)?->value);
        $doubts[] = Plausibility::ofRows(array_values(array_filter($rest)));

        $raised = array_filter($doubts, static fn (?Doubt $doubt): bool => $doubt !== null && $doubt->concerns($value));

        return array_values(array_map(
            static fn (Doubt $doubt): array => ['code' => $doubt->code->value, 'ref_mm' => $doubt->reference->toMillimetres()],
            $raised,
        ));
    }

    /**
     * @param  list<mixed>  $items
     * @return array<string, array<string, mixed>> stored readings by id
     */
    private function known(array $items): array
    {
        $ids = array_filter(
            array_map(static fn (mixed $item): mixed => is_array($item) ? $item['id'] ?? null : null, $items),
            static fn (mixed $id): bool => is_string($id) && Str::isUuid($id),
        );

        return DB::table('readings')->whereIn('id', $ids)->get()
            ->keyBy('id')
            ->map(static fn (stdClass $reading): array => (array) $reading)
            ->all();
    }

    /** @return array<string, array<string, Length|null>> what the walk reads now, by check and place */
    private function currentValues(Walk $walk): array
    {
        $values = [];
        $cells = DB::table('cells')->where('walk_id', $walk->id)->where('result', Result::Measured->value)->get();
        foreach ($cells as $cell) {
            $place = "{$cell->row_number}:{$cell->check_key}:{$cell->side}";
            $values[$cell->check_key][$place] = Length::ofMillimetres($cell->millimetres);
        }

        return $values;
    }

    /** @return array<string, mixed> */
    private function row(Walk $walk, User $by, ReadingInput $input, ?Length $value): array
    {
        return [
            'id' => $input->id,
            'walk_id' => $walk->id,
            'planter_id' => $walk->planter_id,
            'row_number' => $input->place->row,
            'check_key' => $input->place->check->value,
            'side' => $input->place->side->value,
            'result' => $input->result->value,
            'entry' => $input->entry->value,
            'millimetres' => $value === null ? null : number_format($value->toMillimetres(), 6, '.', ''),
            'typed' => $value === null ? null : ($value->typed ?? ''),
            'confirmed' => $input->confirmed,
            'taken_at' => $input->takenAt->format('Y-m-d H:i:s.vP'),
            'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
            'user_id' => $by->id,
        ];
    }

    /**
     * @param  array<string, mixed>  $earlier
     * @param  array<string, mixed>  $row
     */
    private static function saysTheSame(array $earlier, array $row): bool
    {
        foreach (['walk_id', 'row_number', 'check_key', 'side', 'result', 'entry', 'millimetres', 'typed'] as $column) {
            if ($earlier[$column] !== $row[$column]) {
                return false;
            }
        }

        return CarbonImmutable::parse($earlier['taken_at'])->equalTo(CarbonImmutable::parse($row['taken_at']));
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function store(Walk $walk, array $rows): void
    {
        if ($rows === []) {
            return;
        }
        DB::table('readings')->insert($rows);
        $this->projector->project($walk, array_values(array_unique(array_column($rows, 'row_number'))));
        $this->projector->projectLaterSeasons($walk);
    }
}

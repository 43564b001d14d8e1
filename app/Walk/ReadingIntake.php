<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\User;
use App\Models\Walk;
use App\Record\Outcome;
use App\Record\Receipt;
use App\Record\RefusedReading;
use App\Walk\Board\LastReading;
use App\Walk\Board\StoredAnswer;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Plausibility;
use Ustrel\Core\Walk\Result;

/** Decides of each reading of a batch what becomes of it, in the light of the walk and of the readings before it. */
final class ReadingIntake
{
    private readonly SpecSheet $sheet;

    /** @var array<string, array<string, mixed>> stored readings that the batch names, by id */
    private readonly array $known;

    /** @var array<string, array<string, Quantity|null>> the figures that the walk reads now, by check and place */
    private array $current;

    /** @var array<string, array<string, mixed>> rows of the table readings, by id */
    private array $accepted = [];

    /**
     * @param  array<string, LastReading>  $last  by place key
     * @param  list<mixed>  $items  the batch
     */
    public function __construct(
        private readonly Walk $walk,
        private readonly User $by,
        private readonly array $last,
        array $items,
    ) {
        $this->sheet = $walk->readSheet();
        $this->known = self::knownOf($items);
        $this->current = self::currentValues($walk);
    }

    public function take(int $index, mixed $item): Receipt
    {
        try {
            $input = ReadingInput::from($item, $this->sheet, $this->walk->row_count);
            $answer = $this->answer($input);
        } catch (RefusedReading $refused) {
            return Receipt::refused($index, is_array($item) && is_string($item['id'] ?? null) ? $item['id'] : null, $refused->getMessage());
        }

        $row = $this->row($input, $answer);
        $earlier = $this->known[$input->id] ?? $this->accepted[$input->id] ?? null;
        if ($earlier !== null) {
            return self::saysTheSame($earlier, $row)
                ? Receipt::of($index, $input->id, Outcome::Known)
                : Receipt::conflict($index, $input->id);
        }
        if ($this->walk->isFinished()) {
            return Receipt::refused($index, $input->id, __('refused.walk_finished'));
        }
        $doubts = $this->doubts($input, $answer?->quantity);
        if ($doubts !== []) {
            return Receipt::doubtful($index, $input->id, $doubts);
        }

        $this->accepted[$input->id] = $row;
        $this->current[$input->place->check->value][$input->place->key()] = $answer?->quantity;

        return Receipt::of($index, $input->id, Outcome::Stored);
    }

    /** @return list<array<string, mixed>> rows of the table readings to be stored */
    public function accepted(): array
    {
        return array_values($this->accepted);
    }

    /** @throws RefusedReading */
    private function answer(ReadingInput $input): ?Answer
    {
        if ($input->result !== Result::Recorded || $input->entry !== Entry::SameAsLast) {
            return $input->answer;
        }

        return ($this->last[$input->place->key()] ?? throw RefusedReading::because('no_last_time', ['row' => $input->place->row]))->answer();
    }

    /** @return list<array{code: string, ref: float|null, unit: string|null}> */
    private function doubts(ReadingInput $input, ?Quantity $value): array
    {
        $check = $this->sheet->check($input->place->check);
        if ($value === null || $check === null || $input->confirmed || $input->entry === Entry::SameAsLast) {
            return [];
        }
        $others = $this->current[$check->key->value] ?? [];
        unset($others[$input->place->key()]);
        $doubts = Plausibility::ofPlace($check->rule, ($this->last[$input->place->key()] ?? null)?->answer()->quantity);
        $doubts[] = Plausibility::ofRows(array_values(array_filter($others)));

        $raised = array_filter($doubts, static fn (?Doubt $doubt): bool => $doubt !== null && $doubt->concerns($value));

        return array_values(array_map(
            static fn (Doubt $doubt): array => ReasonShape::coded($doubt->code->value, $doubt->reference),
            $raised,
        ));
    }

    /** @return array<string, mixed> */
    private function row(ReadingInput $input, ?Answer $answer): array
    {
        return [
            'id' => $input->id,
            'walk_id' => $this->walk->id,
            'planter_id' => $this->walk->planter_id,
            'row_number' => $input->place->row,
            'check_key' => $input->place->check->value,
            'side' => $input->place->side->value,
            'result' => $input->result->value,
            'entry' => $input->entry->value,
            ...StoredAnswer::columns($answer),
            'typed' => $answer?->quantity === null ? null : ($answer->quantity->asTyped() ?? ''),
            'confirmed' => $input->confirmed,
            'taken_at' => $input->takenAt->format('Y-m-d H:i:s.vP'),
            'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
            'user_id' => $this->by->id,
        ];
    }

    /**
     * @param  array<string, mixed>  $earlier
     * @param  array<string, mixed>  $row
     */
    private static function saysTheSame(array $earlier, array $row): bool
    {
        foreach (['walk_id', 'row_number', 'check_key', 'side', 'result', 'entry', 'value', 'state', 'typed'] as $column) {
            if ($earlier[$column] !== $row[$column]) {
                return false;
            }
        }

        return json_decode($earlier['chips']) === json_decode($row['chips'])
            && CarbonImmutable::parse($earlier['taken_at'])->equalTo(CarbonImmutable::parse($row['taken_at']));
    }

    /**
     * @param  list<mixed>  $items
     * @return array<string, array<string, mixed>>
     */
    private static function knownOf(array $items): array
    {
        $ids = array_map(static fn (mixed $item): mixed => is_array($item) ? $item['id'] ?? null : null, $items);
        $ids = array_filter($ids, static fn (mixed $id): bool => is_string($id) && Str::isUuid($id));

        return DB::table('readings')->whereIn('id', $ids)->get()
            ->keyBy('id')
            ->map(static fn (stdClass $reading): array => (array) $reading)
            ->all();
    }

    /** @return array<string, array<string, Quantity|null>> */
    private static function currentValues(Walk $walk): array
    {
        $values = [];
        $cells = DB::table('cells')->where('walk_id', $walk->id)->whereNotNull('value')->get();
        foreach ($cells as $cell) {
            $place = "{$cell->row_number}:{$cell->check_key}:{$cell->side}";
            $values[$cell->check_key][$place] = StoredAnswer::of($cell)?->quantity;
        }

        return $values;
    }
}

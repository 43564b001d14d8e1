<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Cell;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\Declared;
use App\Record\Doubted;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use App\Walk\Board\LastReading;
use App\Walk\Board\LastReadings;
use App\Walk\Board\StoredAnswer;
use stdClass;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Doubt;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Plausibility;
use Ustrel\Core\Walk\Result;

/** Readings of one walk, each in the light of the walk and of those before it. */
#[Declared(Reading::class, item: 'refused.not_a_reading', when: 'refused.no_time', ahead: 'refused.in_the_future', moment: 'taken_at')]
final class ReadingEvents implements Kind
{
    use EventDefaults;

    private readonly Sheet $sheet;

    /** @var array<string, LastReading> by place key */
    private array $last;

    /** @var array<string, array<string, Quantity|null>> the figures that the walk reads now, by check and place */
    private array $current;

    /** @param  bool  $ofThePast  brought in from a file, into a walk that is finished: nobody can be asked whether they are sure */
    public function __construct(
        private readonly Walk $walk,
        private readonly LastReadings $lastReadings,
        private readonly bool $ofThePast = false,
    ) {
        $this->sheet = $walk->readSheet();
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $result = $fields->oneOf('result', Result::class, 'refused.unknown_result') ?? Result::Recorded;
        if ($result === Result::Fitted || $result === Result::MeasureAgain) {
            throw Refused::because('result', 'refused.unknown_result');
        }
        $entry = $fields->oneOf('entry', Entry::class, 'refused.unknown_entry') ?? Entry::Typed;
        if ($entry->isGlance() !== ($result === Result::LookedSound)) {
            throw Refused::because('entry', 'refused.glance_and_figure');
        }
        $place = PlaceFields::read($fields, $this->sheet, $this->walk->row_count);
        $check = $this->sheet->checkAt($place) ?? throw Refused::because('check', 'refused.no_such_check');
        $answer = $this->answer($fields, $result, $entry, $place, $check);
        $confirmed = $fields->flag('confirmed', 'refused.unknown_flag');
        if ($this->walk->isFinished() && ! $this->ofThePast) {
            throw Refused::because('', 'refused.walk_finished');
        }
        if (! $confirmed && ! $this->ofThePast && $entry !== Entry::SameAsLast) {
            $this->doubt($place, $check, $answer?->quantity);
        }
        $this->current()[$place->check->value][$place->key()] = $answer?->quantity;

        return [
            'walk_id' => $this->walk->id,
            ...Reading::at($place),
            'result' => $result->value,
            'entry' => $entry->value,
            ...StoredAnswer::columns($answer),
            'typed' => $answer?->quantity === null ? null : ($answer->quantity->asTyped() ?? ''),
            'confirmed' => $confirmed || $this->ofThePast,
        ];
    }

    public function affect(array $rows, array $superseded, Affected $affected): void
    {
        foreach ($rows as $row) {
            $affected->ended = $affected->ended || $this->walk->isFinished();
            $affected->reading($this->walk->id, new Place($row['row_number'], CheckKey::from($row['check_key']), Side::from($row['side'])));
        }
    }

    private function answer(Fields $fields, Result $result, Entry $entry, Place $place, Check $check): ?Answer
    {
        if ($result !== Result::Recorded) {
            return null;
        }
        if ($entry !== Entry::SameAsLast) {
            return AnswerFields::read($fields, $check, $place->row);
        }

        return ($this->last()[$place->key()] ?? throw Refused::because('entry', 'refused.no_last_time', ['row' => $place->row]))->answer();
    }

    /** @throws Doubted */
    private function doubt(Place $place, Check $check, ?Quantity $value): void
    {
        if ($value === null) {
            return;
        }
        $others = $this->current()[$check->key->value] ?? [];
        unset($others[$place->key()]);
        if ($check->rows !== null) {
            $others = array_filter($others, static fn (string $at): bool => in_array(Place::fromKey($at)->row, $check->rows, true), ARRAY_FILTER_USE_KEY);
        }
        $last = ($this->last()[$place->key()] ?? null)?->answer()->quantity;
        $doubts = Plausibility::ofPlace($check->rule, $last);
        $ofRows = Plausibility::ofRows(array_values(array_filter($others)), $check->countOn($this->walk->row_count));
        $doubts[] = $ofRows === null || Plausibility::isAsBefore($ofRows, $value, $last) ? null : $ofRows;
        $raised = array_filter($doubts, static fn (?Doubt $doubt): bool => $doubt !== null && $doubt->concerns($value));
        if ($raised !== []) {
            throw new Doubted(array_values(array_map(static fn (Doubt $doubt): array => StoredReason::coded($doubt->code->value, $doubt->reference), $raised)));
        }
    }

    /** @return array<string, LastReading> by place key */
    private function last(): array
    {
        return $this->last ??= $this->lastReadings->beforeWalk($this->walk, $this->walk->planter);
    }

    /** @return array<string, array<string, Quantity|null>> */
    private function &current(): array
    {
        if (! isset($this->current)) {
            $this->current = [];
            $cells = Cell::query()->where('walk_id', $this->walk->id)->whereNotNull('value')->toBase()->get(['row_number', 'check_key', 'side', 'value', 'state', 'chips']);
            foreach ($cells as $cell) {
                $this->current[$cell->check_key][self::place($cell)->key()] = (new StoredAnswer($cell->check_key, $cell->value, $cell->state, $cell->chips))->answer()?->quantity;
            }
        }

        return $this->current;
    }

    private static function place(stdClass $cell): Place
    {
        return new Place($cell->row_number, CheckKey::from($cell->check_key), Side::from($cell->side));
    }
}

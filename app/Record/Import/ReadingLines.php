<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk;
use App\Record\Fields;
use App\Record\RecordProjector;
use App\Record\RefusedReading;
use App\Walk\AnswerInput;
use App\Walk\Board\StoredAnswer;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\SpecSheet;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Plausibility;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** Readings of past seasons, each season as one finished walk. */
final class ReadingLines implements Lines
{
    private readonly SpecSheet $sheet;

    /** @var array<string, Check> by key and by name in small letters */
    private readonly array $checks;

    /** @var array<int, array{string, string}> first and last day, by season */
    private array $seasons = [];

    public function __construct(
        private readonly Planter $planter,
        private readonly User $by,
        private readonly RecordProjector $projector,
        private readonly LineIds $ids,
    ) {
        $this->sheet = $planter->readSheet();
        $named = [];
        foreach ($this->sheet->ofRows() as $check) {
            foreach ([$check->key->value, strtr($check->key->value, '_', ' '), __("check.{$check->key->value}"), __("measure.{$check->key->value}")] as $name) {
                $named[mb_strtolower($name)] ??= $check;
            }
        }
        $this->checks = $named;
    }

    public function read(LineFields $line): ReadLine
    {
        $day = $line->day('date') ?? $line->needed('date');
        $row = $line->wholeNumber('row');
        $name = $line->needed('check');
        $check = $this->checks[mb_strtolower($name)] ?? throw RefusedLine::because('unknown_check', ['text' => $name]);
        if ($row < 1 || $row > $this->planter->row_count) {
            throw RefusedLine::because('no_such_row', ['row' => $row, 'rows' => $this->planter->row_count]);
        }
        $side = $this->side($line, $check);
        $typed = $line->needed('reading');
        try {
            $given = $check->kind->takesFigure() ? ['typed' => $typed, 'units' => $this->by->units->value] : ['state' => mb_strtolower($typed)];
            $answer = AnswerInput::read(Fields::of($given, 'not_a_reading'), $check, $row);
        } catch (RefusedReading $refused) {
            throw new RefusedLine($refused->getMessage());
        }

        return new ReadLine([
            'id' => $this->ids->of("{$day} {$row} {$check->key->value} {$side->value} {$typed}"),
            'walk_id' => $this->walkId($this->season($day)),
            'planter_id' => $this->planter->id,
            'row_number' => $row,
            'check_key' => $check->key->value,
            'side' => $side->value,
            'result' => Result::Recorded->value,
            'entry' => Entry::FromSheet->value,
            ...StoredAnswer::columns($answer),
            'typed' => $answer->quantity === null ? null : $typed,
            'confirmed' => true,
            'taken_at' => "{$day} 12:00:00.000+00",
            'recorded_at' => CarbonImmutable::now()->format('Y-m-d H:i:s.vP'),
            'user_id' => $this->by->id,
        ], $this->doubt($check, $answer->quantity));
    }

    public function keep(array $read): int
    {
        foreach ($read as $reading) {
            $day = substr($reading['taken_at'], 0, 10);
            [$first, $last] = $this->seasons[$this->season($day)] ?? [$day, $day];
            $this->seasons[$this->season($day)] = [min($first, $day), max($last, $day)];
        }
        $this->makeWalks();

        return DB::table('readings')->insertOrIgnore(array_values($read));
    }

    public function finish(): array
    {
        if ($this->seasons !== []) {
            $first = min(array_column($this->seasons, 0));
            $this->projector->project($this->planter, CarbonImmutable::parse($first));
        }

        return [];
    }

    /** Only what the part itself says: what the row read before may have been another part. */
    private function doubt(Check $check, ?Quantity $value): ?string
    {
        foreach ($value === null ? [] : Plausibility::ofPlace($check->rule, null) as $doubt) {
            if ($doubt->concerns($value)) {
                $printer = new QuantityPrinter($this->by->units);

                return __("doubt.{$doubt->code->value}", ['by' => $printer->difference($value, $doubt->reference), 'ref' => $printer->print($doubt->reference)]);
            }
        }

        return null;
    }

    private function side(LineFields $line, Check $check): Side
    {
        $text = mb_strtolower($line->text('side') ?? '');
        $side = match (true) {
            $text === '' && count($check->sides) === 1 => $check->sides[0],
            in_array($text, ['l', 'left'], true) => Side::Left,
            in_array($text, ['r', 'right'], true) => Side::Right,
            in_array($text, ['c', 'centre', 'center', 'middle'], true) => Side::Centre,
            default => null,
        };

        return $side !== null && $check->has($side) ? $side : throw RefusedLine::because('no_side', [
            'check' => __("check.{$check->key->value}"), 'sides' => implode(', ', array_map(static fn (Side $side): string => $side->value, $check->sides)),
        ]);
    }

    /** The year of planting that a day belongs to: from eight months before to four months after planting begins. */
    private function season(string $day): int
    {
        $year = (int) substr($day, 0, 4);
        $start = ($this->planter->planting_start ?? CarbonImmutable::create($year, 4, 20))->format('m-d');
        foreach ([$year - 1, $year, $year + 1] as $season) {
            if ($day < CarbonImmutable::parse("{$season}-".($start === '02-29' ? '02-28' : $start))->addMonths(4)->toDateString()) {
                return $season;
            }
        }

        return $year + 1;
    }

    private function walkId(int $season): string
    {
        return $this->ids->named("walk {$season}");
    }

    private function makeWalks(): void
    {
        foreach ($this->seasons as $season => [$first, $last]) {
            $walk = Walk::query()->find($this->walkId($season)) ?? (new Walk([
                'id' => $this->walkId($season),
                'planter_id' => $this->planter->id,
                'season' => $season,
                'kind' => WalkKind::PreSeason,
                'walk_order' => WalkOrder::RowByRow,
                'row_count' => $this->planter->row_count,
                'sheet' => $this->planter->specSheet->sheet,
                'equipment' => $this->planter->equipment,
                'started_by' => $this->by->id,
                'finished_by' => $this->by->id,
                'started_at' => CarbonImmutable::parse($first),
                'finished_at' => CarbonImmutable::parse($last)->endOfDay(),
            ]))->countPlaces();
            $walk->started_at = min($walk->started_at, CarbonImmutable::parse($first));
            $walk->finished_at = max($walk->finished_at, CarbonImmutable::parse($last)->endOfDay());
            $walk->save();
        }
    }
}

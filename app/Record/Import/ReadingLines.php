<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\Planter;
use App\Models\User;
use App\Record\Affected;
use App\Record\Fields;
use App\Record\Kind;
use App\Walk\AnswerFields;
use App\Walk\Board\LastReadings;
use App\Walk\PastWalk;
use App\Walk\ReadingEvents;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\Plausibility;

/** Readings of past seasons, each season as one finished walk. */
final class ReadingLines implements Lines
{
    /** @var array<string, Check> by key and by name in small letters */
    private readonly array $checks;

    /** @var array<int, array{Day, Day}> first and last day, by season */
    private array $seasons = [];

    private readonly PastWalk $walks;

    private readonly Sheet $sheet;

    public function __construct(
        private readonly Planter $planter,
        private readonly User $by,
        private readonly LineIds $ids,
        private readonly LastReadings $lastReadings,
        Affected $affected,
    ) {
        $named = [];
        // What is parked now may have planted then.
        $this->sheet = $planter->fittedSheet();
        foreach ($this->sheet->ofRows() as $check) {
            foreach ([$check->key->value, strtr($check->key->value, '_', ' '), __("check.{$check->key->value}"), __("measure.{$check->key->value}")] as $name) {
                $named[mb_strtolower($name)] ??= $check;
            }
        }
        $this->checks = $named;
        $this->walks = new PastWalk($planter, $by, $affected);
    }

    public function read(LineFields $line): ReadLine
    {
        $day = Day::of($line->day('date') ?? $line->needed('date'));
        $row = $line->wholeNumber('row');
        $name = $line->needed('check');
        $check = $this->checks[mb_strtolower($name)] ?? throw RefusedLine::because('unknown_check', ['text' => $name]);
        if ($row < 1 || $row > $this->planter->row_count) {
            throw RefusedLine::because('no_such_row', ['row' => $row, 'rows' => $this->planter->row_count]);
        }
        $check = $this->sheet->at($row)->check($check->key) ?? throw RefusedLine::because('not_on_row', ['row' => $row, 'check' => $name]);
        $side = $this->side($line, $check);
        $typed = $line->needed('reading');
        $given = $check->kind->takesFigure() ? ['typed' => $typed, 'units' => $this->by->units->value] : ['state' => mb_strtolower($typed)];
        $answer = AnswerFields::read(Fields::of($given, 'refused.not_a_reading'), $check, $row);
        [$id, $former] = $this->ids->of("{$day->iso} {$row} {$check->key->value} {$side->value} {$typed}");
        $season = $this->planter->seasons()->of($day);
        [$first, $last] = $this->seasons[$season] ?? [$day, $day];
        $this->seasons[$season] = [$day->isBefore($first) ? $day : $first, $last->isBefore($day) ? $day : $last];

        return new ReadLine([[
            'id' => $id, 'row' => $row, 'check' => $check->key->value, 'side' => $side->value, 'entry' => Entry::FromSheet->value,
            'taken_at' => $day->noon($this->planter->workshop->zone())->toIso(),
            ...$given,
        ]], $former, (string) $season, $this->doubt($check, $answer->quantity));
    }

    public function kind(string $into): Kind
    {
        [$first, $last] = $this->seasons[(int) $into];

        return new ReadingEvents($this->walks->of((int) $into, $first, $last), $this->lastReadings, ofThePast: true);
    }

    public function canBeImpossible(): bool
    {
        return false;
    }

    public function hold(): void
    {
        // Readings do not get into each other's way.
    }

    /** Only what the part itself says: what the row read before may have been another part. */
    private function doubt(Check $check, ?Quantity $value): ?string
    {
        if ($value === null) {
            return null;
        }
        foreach (Plausibility::ofPlace($check->rule, null) as $doubt) {
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
}

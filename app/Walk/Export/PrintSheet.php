<?php

declare(strict_types=1);

namespace App\Walk\Export;

use App\Http\Paper;
use App\Walk\Board\Board;
use App\Walk\Board\CurrentReading;
use App\Walk\Board\Remarks;
use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Walk\Findings;
use Ustrel\Core\Walk\Place;

/** A walk on paper: what was found, or an empty sheet to fill in with a pencil. Lying. */
final readonly class PrintSheet
{
    /** Rows beside each other on one page. */
    private const ROWS_A_PAGE = 12;

    /** Where a row does not have a check that others have. */
    private const NOT_ON_ROW = '—';

    /** The same signs as on the screen. */
    private const SIGNS = ['unchecked' => '○', 'sound' => '●', 'watch' => '◐', 'change' => '▲', 'failed' => '■'];

    private Wording $wording;

    private QuantityPrinter $printer;

    public function __construct(private Board $board, UnitSystem $units)
    {
        $this->printer = new QuantityPrinter($units);
        $this->wording = new Wording($this->printer, $board->planter->workshop->dates());
    }

    /** The findings, then every figure. A PDF. */
    public function ofWalk(Remarks $remarks): string
    {
        $findings = $this->findings();

        return Paper::pdf('print.walk', [
            'board' => $this->board,
            'day' => $this->day(...),
            'findings' => $findings,
            'counts' => array_count_values(array_column($findings, 'verdict')),
            'notes' => $remarks->notesFor($this->board->planter, $this->board->walk),
            'blocks' => $this->blocks(static fn (Check $check): bool => $check->kind->takesFigure()),
            'signs' => self::SIGNS,
        ], true);
    }

    /** Every check that is walked, with room to write. A PDF. */
    public function blank(): string
    {
        return Paper::pdf('print.blank', [
            'board' => $this->board,
            'day' => $this->day(...),
            'blocks' => $this->blocks(fn (Check $check): bool => isset($this->board->scope->checks[$check->key->value])),
        ], true);
    }

    /** A moment as the day that it was in the workshop; now by default. */
    private function day(?CarbonImmutable $moment = null): string
    {
        $workshop = $this->board->planter->workshop;

        return $workshop->dates()->full(Day::of(($moment ?? CarbonImmutable::now())->setTimezone($workshop->zone())->toDateString()));
    }

    /** @return list<array{row: int, check: string, reading: string, verdict: string, reasons: string, last: string}> the worst first */
    private function findings(): array
    {
        $places = $this->board->places;

        return array_map(function (int $at) use ($places): array {
            $place = $places[$at];
            $now = $this->board->current[$place->key()];
            $unit = $this->board->sheet->checkAt($place)?->unit;

            return [
                'row' => $place->row,
                'check' => $this->wording->check($place->check, $place->side),
                'reading' => $this->wording->reading($now, $unit),
                'verdict' => $now->verdict->value,
                'reasons' => $this->wording->reasons($place->check, $now, $unit),
                'last' => $this->wording->answer(($this->board->last[$place->key()] ?? null)?->answer(), $unit),
            ];
        }, Findings::among($places, $this->board->verdicts()));
    }

    /**
     * The checks as lines and the rows as columns, so many to a page.
     *
     * @param  callable(Check): bool  $which
     * @return list<array{rows: list<int>, lines: list<array{station: string, check: string, limit: string, cells: array<int, string>}>}>
     */
    private function blocks(callable $which): array
    {
        $checks = array_filter($this->board->sheet->checks, $which);
        $blocks = [];
        foreach (array_chunk(range(1, $this->board->rowCount), self::ROWS_A_PAGE) as $rows) {
            $ofRows = array_filter($checks, static fn (Check $check): bool => ! $check->isOfWholePlanter());
            $blocks[] = ['rows' => $rows, 'lines' => $this->lines($ofRows, $rows)];
        }
        $ofPlanter = array_filter($checks, static fn (Check $check): bool => $check->isOfWholePlanter());
        if ($ofPlanter !== []) {
            $blocks[] = ['rows' => [Place::WHOLE_PLANTER], 'lines' => $this->lines($ofPlanter, [Place::WHOLE_PLANTER])];
        }

        return $blocks;
    }

    /**
     * @param  array<string, Check>  $checks
     * @param  list<int>  $rows
     * @return list<array{station: string, check: string, limit: string, cells: array<int, string>}>
     */
    private function lines(array $checks, array $rows): array
    {
        $lines = [];
        foreach (array_merge(...array_map($this->board->sheet->variantsOf(...), array_keys($checks))) as $check) {
            foreach ($check->isOn($rows) ? $check->sides : [] as $side) {
                $cells = [];
                foreach ($rows as $row) {
                    $cells[$row] = $check->isOn([$row]) ? $this->cell($this->board->current[(new Place($row, $check->key, $side))->key()] ?? null, $check) : self::NOT_ON_ROW;
                }
                $lines[] = [
                    'station' => __("station.{$check->station->value}"),
                    'check' => $this->wording->check($check->key, $side),
                    'limit' => $this->limit($check),
                    'cells' => $cells,
                ];
            }
        }

        return $lines;
    }

    private function cell(?CurrentReading $now, Check $check): string
    {
        return $now === null ? '' : self::SIGNS[$now->verdict->value].' '.$this->wording->reading($now, $check->unit);
    }

    private function limit(Check $check): string
    {
        $marks = array_map($this->printer->print(...), $check->rule->marks());

        return match (true) {
            isset($marks['low'], $marks['high']) => "{$marks['low']} – {$marks['high']}",
            isset($marks['limit']) => $marks['limit'],
            $check->kind->takesFigure() => implode(', ', $marks),
            // Their first letters are what is written.
            default => implode(' ', array_map(static fn (State $state): string => __("state.{$state->value}")[0], $check->kind->states())),
        };
    }
}

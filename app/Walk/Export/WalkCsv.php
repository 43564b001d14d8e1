<?php

declare(strict_types=1);

namespace App\Walk\Export;

use App\Http\CsvSheet;
use App\Walk\Board\Board;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\QuantityPrinter;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Walk\Place;

/** A walk as CSV, one place a line. Columns and quoting: docs/formats.md. */
final readonly class WalkCsv
{
    private const COLUMNS = [
        'farm', 'planter', 'season', 'walk', 'row', 'station', 'check', 'side', 'result',
        'value', 'unit', 'inches', 'state', 'ticked', 'verdict', 'reason', 'last_value', 'last_state', 'last_season', 'taken_at',
    ];

    private Wording $wording;

    public function __construct(private Board $board, UnitSystem $units)
    {
        $this->wording = new Wording(new QuantityPrinter($units), $board->planter->workshop->dates());
    }

    /** @param  resource  $to */
    public function write($to): void
    {
        self::line($to, self::COLUMNS);
        foreach ($this->board->places as $place) {
            self::line($to, $this->fields($place));
        }
    }

    /** @return list<string> */
    private function fields(Place $place): array
    {
        $now = $this->board->current[$place->key()] ?? null;
        $last = $this->board->last[$place->key()] ?? null;
        $quantity = $now?->quantity();
        $unit = $this->board->sheet->checkAt($place)?->unit;

        return [
            CsvSheet::cell($this->board->planter->farm),
            CsvSheet::cell($this->board->planter->name),
            (string) $this->board->season,
            (string) $this->board->walk?->kind->value,
            (string) $place->row,
            (string) $this->board->sheet->checkAt($place)?->station->value,
            $place->check->value,
            $place->side->value,
            $now === null ? 'unchecked' : $now->result->value,
            self::value($quantity),
            $quantity === null ? '' : (string) ($unit ?? $quantity->unit())->value,
            $quantity instanceof Length ? self::decimal($quantity->toInches(), 4) : '',
            (string) $now?->answer()?->state?->value,
            implode(' ', array_map(static fn (Chip $chip): string => $chip->value, $now?->answer()->chips ?? [])),
            $now === null ? 'unchecked' : $now->verdict->value,
            $now === null ? '' : $this->wording->reasons($place->check, $now, $unit),
            self::value($last?->answer()->quantity),
            (string) $last?->answer()->state?->value,
            $last === null ? '' : (string) $last->season,
            $now === null ? '' : gmdate('Y-m-d\TH:i:s\Z', (int) strtotime($now->takenAt)),
        ];
    }

    private static function value(?Quantity $quantity): string
    {
        return $quantity === null ? '' : self::decimal($quantity->unit()->valueOf($quantity), 6);
    }

    private static function decimal(float $number, int $places): string
    {
        return rtrim(rtrim(number_format($number, $places, '.', ''), '0'), '.');
    }

    /**
     * @param  resource  $to
     * @param  list<string>  $fields
     */
    private static function line($to, array $fields): void
    {
        fputcsv($to, $fields, ',', '"', '', "\r\n");
    }
}

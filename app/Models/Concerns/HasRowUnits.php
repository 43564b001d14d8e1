<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\SpecSheet;
use Closure;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\OtherRows;
use Ustrel\Core\Spec\RowUnits;
use Ustrel\Core\Spec\Sheet;

/** Row units by their spec sheets: of a planter as it is, or as a walk keeps them. */
trait HasRowUnits
{
    /** The sheet that most rows go by, as JSON. */
    abstract protected function writtenSheet(): string;

    /** @return list<array{rows: list<int>, equipment: array<string, string|bool|int|null>, sheet: array<string, mixed>|null}> rows that differ, with their own sheet where they have one */
    abstract protected function otherRows(): array;

    /** What the planter carries, row by row; what is not said is as typical for its row units. */
    public function units(): RowUnits
    {
        $most = Equipment::of($this->equipment, SpecSheet::readWritten($this->writtenSheet())->type);
        $others = array_map(static fn (array $other): OtherRows => new OtherRows(
            $other['rows'],
            $most->with($other['equipment']),
            $other['sheet'] === null ? null : SpecSheet::readWritten(json_encode($other['sheet'], JSON_THROW_ON_ERROR)),
        ), $this->otherRows());

        return new RowUnits($this->row_count, $most, $others, $this->parked_rows);
    }

    /**
     * All checks that the planter has by its spec sheets and what its rows carry. Reading them takes longer than all else on
     * a board, and a planter and its walks mostly share theirs: each is read once.
     */
    public function readSheet(): Sheet
    {
        return $this->composed('', fn (Sheet $sheet): Sheet => $sheet->across($this->units()));
    }

    /** The same with parked rows: their parts are there, though nothing is asked of them. */
    public function fittedSheet(): Sheet
    {
        return $this->composed('fitted', fn (Sheet $sheet): Sheet => $sheet->across($this->units()->unparked()));
    }

    /** @param  Closure(Sheet): Sheet  $compose */
    private function composed(string $as, Closure $compose): Sheet
    {
        $written = $this->writtenSheet();
        $key = md5(implode("\n", [$as, $written, $this->attributes['equipment'], $this->row_count, json_encode($this->otherRows(), JSON_THROW_ON_ERROR), $this->attributes['parked_rows'], $this->attributes['wanted']]));

        return SpecSheet::once($key, fn (): Sheet => $compose(SpecSheet::readWritten($written))->wanting($this->wanted));
    }

    /** @return array<string, mixed> what a walk keeps of them, by its columns */
    public function asWalked(): array
    {
        return [
            'row_count' => $this->row_count,
            'sheet' => json_decode($this->writtenSheet(), true, flags: JSON_THROW_ON_ERROR),
            'equipment' => $this->equipment,
            'other_rows' => $this->otherRows(),
            'parked_rows' => $this->parked_rows,
            'wanted' => $this->wanted,
        ];
    }
}

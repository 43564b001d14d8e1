<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Unit\Catalogue;
use Ustrel\Core\Walk\Place;

/**
 * A row-unit type's numbers: which checks it has and by which figures they are judged. Of a planter whose rows differ it says
 * of each check how most rows that have it are judged, and of each row what that one has.
 */
final readonly class Sheet
{
    /**
     * @param  array<string, Check>  $checks  by check key, in the order of the walk
     * @param  Figure  $notch  how far one notch of the depth stop moves the gauge wheels
     * @param  array<int, Sheet>  $rows  what each row has; empty where all have the same
     */
    public function __construct(
        public RowUnitType $type,
        public array $checks,
        public Figure $notch,
        public Threads $threads,
        private array $rows = [],
    ) {
    }

    public function check(CheckKey $key): ?Check
    {
        return $this->checks[$key->value] ?? null;
    }

    /** What one row is checked for; of row 0 the planter as a whole. */
    public function at(int $row): self
    {
        return $this->rows[$row] ?? $this;
    }

    /** The check as the place has it; null where its row has no such check. */
    public function checkAt(Place $place): ?Check
    {
        return $this->at($place->row)->check($place->check);
    }

    /**
     * With what these planters carry besides what it speaks of.
     *
     * @param  list<Equipment>  $carried
     */
    public function with(array $carried): self
    {
        $besides = array_merge(...array_map($this->besides(...), $carried));

        return $besides === [] ? $this : new self($this->type, SpecSheetReader::inOrder([...$this->checks, ...$besides]), $this->notch, $this->threads);
    }

    /** @return array<string, Check> what a planter carries and this does not speak of: checked by typical figures */
    private function besides(Equipment $carried): array
    {
        $besides = [];
        foreach (CheckKey::shipped() as $key) {
            if (! isset($this->checks[$key->value]) && Catalogue::shipped()->check($key)->isOn($carried)) {
                $besides[$key->value] = SpecSheetReader::typical($key);
            }
        }

        return $besides;
    }

    /** The checks that a planter with this equipment has, judged as its closing wheels want it. */
    public function for(Equipment $equipment): self
    {
        $fitted = array_filter(SpecSheetReader::inOrder([...$this->checks, ...$this->besides($equipment)]), static fn (Check $check): bool => $check->definition->isOn($equipment));

        return new self(
            $this->type,
            array_map(static fn (Check $check): Check => $check->on($equipment), $fitted),
            $this->notch,
            $this->threads,
        );
    }

    /** The checks that a planter has, row by row: nothing is asked of a row that does not have it, or is parked. */
    public function across(RowUnits $units): self
    {
        $most = $this->for($units->most);
        if ($units->others === [] && $units->parked === []) {
            return $most;
        }
        $checks = $most->ofPlanter();
        $sheets = array_fill_keys($units->parked, new self($most->type, [], $most->notch, $most->threads));
        $found = [];
        foreach ($units->kinds() as $at => [$equipment, $rows]) {
            $goesBy = $units->sheetAt($rows[0]) ?? $this;
            $sheet = $at === 0 ? $most : $goesBy->for($equipment);
            $running = array_values(array_diff($rows, $units->parked));
            $sheets += array_fill_keys($running, $sheet);
            $checks += $sheet->ofPlanter();
            if ($running !== []) {
                foreach ($sheet->ofRows() as $key => $check) {
                    $found[$key] = self::joined($found[$key] ?? [], $check, $running, $goesBy);
                }
            }
        }
        $byRow = array_fill_keys(array_keys($sheets), []);
        $variants = array_map(static fn (array $of): array => self::shared($of, $units->rows), $found);
        $checks = SpecSheetReader::inOrder($checks + array_map(static fn (array $of): Check => $of[0], $variants));
        foreach (array_keys(array_intersect_key($checks, $variants)) as $key) {
            foreach ($variants[$key] as $check) {
                foreach ($check->rows ?? range(1, $units->rows) as $row) {
                    $byRow[$row][$key] = $check;
                }
            }
        }

        return new self(
            $this->type, $checks, $this->notch, $this->threads,
            array_combine(array_keys($sheets), array_map(static fn (int $row, self $of): self => new self($of->type, $byRow[$row], $of->notch, $of->threads), array_keys($sheets), $sheets)),
        );
    }

    /**
     * With the targets that a planter says itself.
     *
     * @param  array<string, string>  $wanted  by check key, each with its unit; what the planter does not have is passed over
     */
    public function wanting(array $wanted): self
    {
        if ($wanted === []) {
            return $this;
        }
        $aimed = [];
        foreach ([$this, ...$this->rows] as $sheet) {
            foreach (array_intersect_key($sheet->checks, $wanted) as $key => $check) {
                $aimed[spl_object_id($check)] ??= SpecSheetReader::wanting($check, $wanted[$key]);
            }
        }
        $rows = array_map(static fn (self $row): self => new self($row->type, self::instead($row->checks, $aimed), $row->notch, $row->threads), $this->rows);

        return new self($this->type, self::instead($this->checks, $aimed), $this->notch, $this->threads, $rows);
    }

    /**
     * @param  array<string, Check>  $checks
     * @param  array<int, Check>  $aimed  by the check that it takes the place of
     * @return array<string, Check>
     */
    private static function instead(array $checks, array $aimed): array
    {
        return array_map(static fn (Check $check): Check => $aimed[spl_object_id($check)] ?? $check, $checks);
    }

    /**
     * @param  list<array{Check, non-empty-list<int>, Sheet}>  $known  how a check is made, with the rows that have it so and the sheet that they go by
     * @param  non-empty-list<int>  $rows
     * @return non-empty-list<array{Check, non-empty-list<int>, Sheet}> with what more rows have; rows of another row unit are not held against these
     */
    private static function joined(array $known, Check $check, array $rows, self $goesBy): array
    {
        foreach ($known as $at => [$alike, $those, $sheet]) {
            if ($alike == $check && ($sheet === $goesBy || ! $check->comparesRows())) {
                $known[$at] = [$alike, [...$those, ...$rows], $sheet];

                return $known;
            }
        }

        return [...$known, [$check, $rows, $goesBy]];
    }

    /**
     * @param  non-empty-list<array{Check, non-empty-list<int>, Sheet}>  $of
     * @param  int  $rows  of the planter
     * @return non-empty-list<Check> what most rows have first, each with its rows where these are not all
     */
    private static function shared(array $of, int $rows): array
    {
        usort($of, static fn (array $one, array $other): int => count($other[1]) <=> count($one[1]));

        return array_map(static fn (array $variant): Check => count($variant[1]) === $rows ? $variant[0] : $variant[0]->onRows($variant[1]), $of);
    }

    /** @return list<Check> what is checked on rows, each as often as rows differ about it; what most rows have first */
    public function variantsOf(string $key): array
    {
        $variants = [$this->checks[$key]];
        foreach ($this->rows as $row) {
            $check = $row->checks[$key] ?? null;
            $check === null || in_array($check, $variants, true) ?: $variants[] = $check;
        }

        return $variants;
    }

    /**
     * Only the checks that are chosen.
     *
     * @param  list<string>  $keys
     */
    public function only(array $keys): self
    {
        return new self(
            $this->type, array_intersect_key($this->checks, array_flip($keys)), $this->notch, $this->threads,
            array_map(static fn (self $row): self => $row->only($keys), $this->rows),
        );
    }

    /** @return array<string, Check> what is checked on rows */
    public function ofRows(): array
    {
        return array_filter($this->checks, static fn (Check $check): bool => ! $check->isOfWholePlanter());
    }

    /** @return array<string, Check> what is checked once, on the planter as a whole */
    public function ofPlanter(): array
    {
        return array_filter($this->checks, static fn (Check $check): bool => $check->isOfWholePlanter());
    }

    /** How many readings a row takes. */
    public function placesOfRow(int $row): int
    {
        return self::places($this->at($row)->ofRows());
    }

    /** How many readings the whole-planter checks take. */
    public function placesOfPlanter(): int
    {
        return self::places($this->ofPlanter());
    }

    /** @param  array<string, Check>  $checks */
    private static function places(array $checks): int
    {
        return array_sum(array_map(static fn (Check $check): int => count($check->sides), $checks));
    }
}

<?php

declare(strict_types=1);

namespace App\Yard;

use App\Models\SpecSheet;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Ustrel\Core\Parts\FitRule;
use Ustrel\Core\Spec\Equipment;
use Ustrel\Core\Spec\RowUnitType;
use Ustrel\Core\Unit\Catalogue;

/** Rows of a planter that differ from most, as a form says them: groups of rows, each with what it carries instead. */
final class OtherRowsEdit
{
    /** @var array<string, string> what is wrong, by field of the form */
    public array $faults = [];

    /** @var list<array{rows: list<int>, spec_sheet_id: int|null, equipment: array<string, string|bool|int|null>}> as the planter keeps them */
    public array $groups = [];

    /** @var array<int, true> rows that stand in a group */
    private array $named = [];

    /**
     * @param  mixed  $given  list of {rows, spec_sheet_id, equipment}
     * @param  int  $rows  of the planter
     * @param  Equipment  $most  what all rows carry of which nothing else is said
     * @param  Collection<int, SpecSheet>  $sheets  those that the workshop may use, by id
     */
    public function __construct(mixed $given, private readonly int $rows, private readonly Equipment $most, private readonly Collection $sheets)
    {
        if (! is_array($given) || ! array_is_list($given)) {
            $this->faults['other_rows'] = __('planter.other_rows');

            return;
        }
        foreach ($given as $at => $group) {
            $this->read("other_rows.{$at}", is_array($group) ? $group : []);
        }
        if (count($this->named) >= $this->rows && $this->faults === []) {
            $this->faults['other_rows'] = __('planter.all_rows_differ');
        }
    }

    /** @param  array<mixed>  $group */
    private function read(string $field, array $group): void
    {
        $rows = $this->rowsOf("{$field}.rows", $group['rows'] ?? null);
        $id = $group['spec_sheet_id'] ?? null;
        $sheet = is_int($id) ? $this->sheets->get($id) : null;
        if ($id !== null && $sheet === null) {
            $this->faults["{$field}.spec_sheet_id"] = __('planter.spec_sheet');

            return;
        }
        $said = $group['equipment'] ?? [];
        $fault = self::unknown($said);
        if ($fault !== null || ! is_array($said)) {
            $this->faults["{$field}.equipment"] = $fault ?? __('planter.equipment');

            return;
        }
        $carried = $sheet === null ? $this->most->with($said) : $this->most->asRowsOf(RowUnitType::from($sheet->type), $said);
        $differs = $carried->ofRows();
        // By a sheet of their own they are another row unit, whatever most rows come to carry.
        $differs = $sheet === null ? array_filter($differs, fn (mixed $kind, string $name): bool => $kind !== $this->most->kind($name), ARRAY_FILTER_USE_BOTH) : $differs;
        if ($sheet === null && $differs === [] && $rows !== []) {
            $this->faults[$field] = __('planter.rows_do_not_differ', ['rows' => implode(', ', $rows)]);
        }
        foreach ($carried->contradictions() as $contradiction) {
            $this->faults["{$field}.equipment"] = __("contradiction.{$contradiction->code}");
        }
        foreach (FitRule::brokenBy($carried) as $broken) {
            $this->faults["{$field}.equipment"] = __("fit.{$broken->value}");
        }
        $this->groups[] = ['rows' => $rows, 'spec_sheet_id' => $sheet?->id, 'equipment' => $differs];
    }

    /** @return list<int> from the left */
    private function rowsOf(string $field, mixed $given): array
    {
        $rows = self::rows($given, $this->rows);
        if ($rows === null || $rows === []) {
            $this->faults[$field] = __('planter.which_rows', ['rows' => $this->rows]);

            return [];
        }
        foreach ($rows as $row) {
            if (isset($this->named[$row])) {
                $this->faults[$field] = __('planter.row_twice', ['row' => $row]);
            }
            $this->named[$row] = true;
        }

        return $rows;
    }

    /** @return list<int>|null from the left; null where it is no list of different rows of the planter */
    public static function rows(mixed $given, int $rows): ?array
    {
        if (! is_array($given) || ! array_is_list($given) || array_filter($given, static fn (mixed $row): bool => ! is_int($row) || $row < 1 || $row > $rows) !== []) {
            return null;
        }
        sort($given);

        return $given === array_values(array_unique($given)) ? $given : null;
    }

    /** What is wrong with kinds of assemblies as they are said. */
    private static function unknown(mixed $said): ?string
    {
        foreach (is_array($said) ? $said : [] as $name => $kind) {
            $fault = self::unknownKind((string) $name, $kind);
            if ($fault !== null) {
                return $fault;
            }
            if (Catalogue::shipped()->assemblies[$name]->isOfWholePlanter) {
                return __('planter.of_whole_planter', ['name' => __("assembly.{$name}")]);
            }
        }

        return null;
    }

    /** What is wrong where a planter cannot carry such a thing. */
    public static function unknownKind(string $name, mixed $kind): ?string
    {
        $assembly = Catalogue::shipped()->assemblies[$name] ?? null;

        return match (true) {
            $assembly === null => (string) __('planter.no_such_assembly', ['name' => Str::limit($name, 40)]),
            $assembly->has($kind) => null,
            $name === 'tyre_pairs' => (string) __('planter.tyre_pairs', ['most' => max($assembly->kinds)]),
            default => (string) __('planter.no_such_kind', [
                'name' => $name, 'kind' => Str::limit((string) json_encode($kind, JSON_UNESCAPED_UNICODE), 40), 'kinds' => implode(', ', array_map(json_encode(...), $assembly->kinds)),
            ]),
        };
    }
}

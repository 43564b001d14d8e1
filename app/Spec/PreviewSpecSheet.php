<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use Illuminate\Support\Collection;
use Ustrel\Core\Measure\UnitSystem;

/**
 * Says how the verdicts of the open walks would change with other figures. The figures are written, the walks judged by
 * them, and all of it taken back: so the preview cannot differ from what saving does.
 */
final readonly class PreviewSpecSheet
{
    public function __construct(private ReplaceSheet $replace)
    {
    }

    /**
     * @param  array<string, array<string, array{value: string, source: string}>>  $figures  by check key and figure name
     * @param  array{value: string, source: string}  $notch
     * @return list<VerdictChange> by planter and row
     */
    public function __invoke(SpecSheet $sheet, UnitSystem $units, string $name, array $figures, array $notch): array
    {
        $walks = Walk::query()
            ->whereNull('finished_at')
            ->whereIn('planter_id', SpecSheet::followers($sheet->id)->select('id'))
            ->with('planter')
            ->get()
            ->keyBy('id');
        $cells = static fn (): Collection => Cell::query()->whereIn('walk_id', $walks->keys())->orderBy('walk_id')->orderBy('row_number')->orderBy('check_key')->orderBy('side')->toBase()->get();
        $before = $cells();
        $columns = static fn (SpecSheet $sheet): array => ['name' => $name, 'sheet' => EditSpecSheet::edited($sheet, $units, $figures, $notch)];
        $after = EditSpecSheet::named($name, fn (): Collection => ($this->replace)($sheet, $columns, $cells, keep: false));
        $names = $walks->map(static fn (Walk $walk): string => $walk->planter->name);
        $changes = [];
        foreach ($before as $index => $cell) {
            $now = $after[$index]->verdict ?? $cell->verdict;
            if ($cell->verdict !== $now) {
                $changes[] = new VerdictChange($names[$cell->walk_id] ?? '', $cell->row_number, $cell->check_key, $cell->side, $cell->verdict, $now);
            }
        }

        return $changes;
    }
}

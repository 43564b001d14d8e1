<?php

declare(strict_types=1);

namespace App\Field;

use App\Models\Field\Dig;
use App\Models\Field\SignOff;
use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\WalkRow;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\BladeDepth;
use Ustrel\Core\Field\Dig\RowsToDig;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Spec\Judging\Verdict;

/** Reads what was dug behind a planter this season, and who vouched for it. */
final readonly class FirstPassQuery
{
    /** @return array<int, Collection<int, Dig>> by season, the newest first */
    public function digs(Planter $planter): array
    {
        return Dig::current($planter->id)->with('user')->orderByDesc('happened_at')->orderByDesc('id')->get()
            ->groupBy(static fn (Dig $dig): int => $planter->seasonAt($dig->happened_at->toIso8601String()))->all();
    }

    /** @return Collection<int, SignOff> of this season, the newest first */
    public function signOffs(Planter $planter): Collection
    {
        return SignOff::current($planter->id)->where('happened_at', '>=', now()->subYear())->with('user')->orderByDesc('happened_at')->orderByDesc('id')->get()
            ->filter(static fn (SignOff $of): bool => $planter->seasonAt($of->happened_at->toIso8601String()) === $planter->season())->values();
    }

    /** @return array<int, 'record'|'wing'|'track'> rows to dig, with why */
    public function toDig(Planter $planter): array
    {
        $walk = $planter->walkThatMatters();
        $rows = $walk === null ? [] : WalkRow::query()->where('walk_id', $walk->id)->where('row_number', '>', 0)->whereIn('verdict', [Verdict::Failed, Verdict::Change])->orderBy('row_number')->get()
            ->sortByDesc(static fn (WalkRow $row): int => $row->verdict === Verdict::Failed ? 1 : 0)->pluck('row_number')->all();

        return RowsToDig::of($planter->row_count, $planter->spacing()->toMillimetres(), array_values(array_filter($rows, static fn (int $row): bool => $row <= $planter->row_count)), $planter->parked_rows);
    }

    /**
     * By how much a row plants deeper since it was dug, for blades that were changed: half of what they gained, over both sides.
     *
     * @param  Collection<int, Dig>  $digs
     * @return array<string, float> millimetres, by id of the dig
     */
    public function gained(Planter $planter, Collection $digs): array
    {
        $fitted = LedgerEvent::current($planter->id)->where('kind', LedgerEventKind::Fitted)->where('slot', 'opener_blade')->whereNotNull('size')
            ->where('happened_at', '>', $digs->min('happened_at') ?? now())->get();
        if ($fitted->isEmpty()) {
            return [];
        }
        $read = Cell::query()->where('planter_id', $planter->id)->where('check_key', 'opener_blade_diameter')->whereNotNull('value')->orderByDesc('taken_at')->get();
        $gained = [];
        foreach ($digs as $dig) {
            foreach ($fitted->where('row_number', $dig->row_number)->where('happened_at', '>', $dig->happened_at) as $event) {
                $before = $read->first(static fn (Cell $cell): bool => $cell->row_number === $event->row_number && $cell->side === $event->side && $cell->taken_at < $event->happened_at);
                if ($before !== null) {
                    $gained[$dig->id] = ($gained[$dig->id] ?? 0.0) + BladeDepth::lost((float) $event->size, (float) $before->value) / 2;
                }
            }
        }

        return $gained;
    }
}

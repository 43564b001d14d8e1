<?php

declare(strict_types=1);

namespace App\Opener;

use App\Models\Planter;
use App\Parts\LedgerQuery;
use App\Record\Instant;
use App\Wear\WearRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Ustrel\Core\Opener\ShimAdvice;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimSensitivity;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Window;
use Ustrel\Core\Wear\Sighting;

/** Reads the contact of all rows' blades, and what to do about it with shims. */
final class ContactQuery
{
    /** @return array{sensitivity: ShimSensitivity, rows: list<array{row: int, contact: Sighting|null, left: int|null, right: int|null, moved: bool, advice: ShimAdvice|null}>}|null null where the planter has no such check */
    public function of(Planter $planter): ?array
    {
        $check = $planter->readSheet()->check(CheckKey::BladeContactLength);
        if ($check === null || ! $check->rule instanceof Window) {
            return null;
        }
        $record = WearRecord::of($planter, [$check->key->value]);
        $moves = LedgerQuery::shimMoves($planter);
        $sensitivity = ShimSensitivity::learn(self::learned($moves, $record));
        $shims = $this->shims($planter, $moves);

        $rows = [];
        for ($row = 1; $row <= $planter->row_count; $row++) {
            $trace = $record->trace($check, $row, Side::Centre);
            $contact = $trace->sightings === [] ? null : $trace->sightings[count($trace->sightings) - 1];
            [$left, $right] = [$shims["{$row}:left"] ?? null, $shims["{$row}:right"] ?? null];
            $rows[] = [
                'row' => $row,
                'contact' => $contact,
                'left' => $left,
                'right' => $right,
                'moved' => $contact === null && $trace->stretches[0]->from !== WearRecord::EVER,
                'advice' => $contact === null ? null : ShimAdvice::of($contact->size, $check->rule, $left, $right, $sensitivity),
            ];
        }

        return ['sensitivity' => $sensitivity, 'rows' => $rows];
    }

    /**
     * @param  Collection<int, stdClass>  $moves
     * @return list<ShimMove> those that were measured before and after
     */
    private static function learned(Collection $moves, WearRecord $record): array
    {
        $learned = [];
        foreach ($moves as $move) {
            $ofRow = $record->sightings(CheckKey::BladeContactLength, $move->row_number, Side::Centre);
            $earlier = array_filter($ofRow, static fn (Sighting $sighting): bool => $sighting->at < $move->at);
            $later = array_values(array_filter($ofRow, static fn (Sighting $sighting): bool => $sighting->at >= $move->at));
            $next = $moves->first(static fn (stdClass $other): bool => $other->row_number === $move->row_number && $other->at > $move->at);
            $before = $move->contact_before ?? (end($earlier) ?: null)?->size;
            if ($before !== null && $later !== [] && ($next === null || $later[0]->at < $next->at)) {
                $learned[] = new ShimMove($move->pairs, (float) $before, $later[0]->size);
            }
        }

        return $learned;
    }

    /**
     * The inner shims as counted last, and what was moved since.
     *
     * @param  Collection<int, stdClass>  $moves
     * @return array<string, int> by row:side
     */
    private function shims(Planter $planter, Collection $moves): array
    {
        $counted = DB::table('cells')
            ->selectRaw('DISTINCT ON (row_number, side) row_number, side, value, '.Instant::sql('taken_at').' AS at')
            ->where('planter_id', $planter->id)
            ->where('check_key', CheckKey::InnerShims->value)
            ->where('result', 'recorded')
            ->orderByRaw('row_number, side, taken_at DESC')
            ->get();
        $shims = [];
        foreach ($counted as $count) {
            $since = $moves->where('row_number', $count->row_number)->where('at', '>', $count->at)->sum('pairs');
            // More were moved than had been counted: the count was wrong, and they are to be counted again.
            if ($count->value + $since >= 0) {
                $shims["{$count->row_number}:{$count->side}"] = (int) $count->value + $since;
            }
        }

        return $shims;
    }
}

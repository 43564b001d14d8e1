<?php

declare(strict_types=1);

namespace App\Opener;

use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Record\Moments;
use App\Wear\WearRecord;
use stdClass;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Opener\ShimAdvice;
use Ustrel\Core\Opener\ShimCount;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimSensitivity;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Rules\Window;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** Reads the contact of all rows' blades, and what to do about it with shims. */
final class ContactQuery
{
    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @return array{sensitivity: ShimSensitivity, aim: float, rows: list<RowContact>, odd: list<ShimMove>}|null the aim in millimetres, moves that went the wrong way; null where the planter has no such check
     */
    public function of(Planter $planter): ?array
    {
        $sheet = $planter->readSheet();
        $check = $sheet->check(CheckKey::from('blade_contact_length'));
        if ($check === null || ! $check->rule instanceof Window) {
            return null;
        }
        $record = new WearRecord($planter);
        $history = $record->history([$check->key->value]);
        $measured = ShimMove::measured($record->moves(), $history, $record->log());
        $sensitivity = ShimSensitivity::learn($measured);
        $shims = self::shims($planter, $record);
        $rows = [];
        for ($row = 1; $row <= $planter->row_count; $row++) {
            $here = $sheet->at($row)->check($check->key);
            if ($here === null || ! $here->rule instanceof Window) {
                continue;
            }
            $trace = $history->trace(new Place($row, $check->key, Side::Centre));
            $contact = $trace->sightings === [] ? null : $trace->sightings[count($trace->sightings) - 1];
            [$left, $right] = [$shims["{$row} left"] ?? null, $shims["{$row} right"] ?? null];
            $rows[] = new RowContact(
                $row,
                $contact,
                $left,
                $right,
                $contact === null && ! $trace->stretches[0]->from->equals(Moment::ever()),
                $contact === null ? null : ShimAdvice::of($contact->size, $here->rule, $left, $right, $sensitivity),
            );
        }

        return ['sensitivity' => $sensitivity, 'aim' => $check->rule->aim->unit()->valueOf($check->rule->aim), 'rows' => $rows, 'odd' => array_values(array_filter($measured, static fn (ShimMove $of): bool => $of->contradicts()))];
    }

    /** @return array<string, int|null> by row and side, the inner shims as counted last and moved since */
    private static function shims(Planter $planter, WearRecord $record): array
    {
        return Cell::query()
            ->where('planter_id', $planter->id)
            ->where('check_key', 'inner_shims')
            ->where('result', Result::Recorded->value)
            ->toBase()
            ->selectRaw('DISTINCT ON (row_number, side) row_number, side, value, '.Moments::sql('taken_at').' AS at')
            ->orderByRaw('row_number, side, taken_at DESC')
            ->get()
            ->mapWithKeys(static fn (stdClass $row): array => [
                "{$row->row_number} {$row->side}" => (new ShimCount($row->row_number, Side::from($row->side), (int) $row->value, Moment::ofMilliseconds($row->at)))->now($record->moves()),
            ])
            ->all();
    }
}

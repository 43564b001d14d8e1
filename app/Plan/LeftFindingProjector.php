<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\LearnedSum;
use App\Models\Lesson;
use App\Models\Parts\LedgerEvent;
use App\Models\Planter;
use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Record\Affected;
use App\Record\BulkWrite;
use App\Record\Moments;
use App\Record\Projector;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Parts\LedgerEventKind;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/**
 * Learns from a planter's own record what comes of conditions that are left: those of past seasons on which no part was changed
 * before it failed, and how many of them failed or were found worse in the next walk.
 */
final class LeftFindingProjector implements Projector
{
    public static function draws(): array
    {
        return [LearnedSum::class];
    }

    public function project(WearRecord $record, Affected $affected, BulkWrite $lines): void
    {
        if (! $affected->everything && ! $affected->ended && $affected->partsSince === null) {
            return;
        }
        $sums = array_map(static fn (array $of): array => [$of[0], $of[1], 0], self::counts($record->planter));
        $lines->replace(LearnedSum::class, ['planter_id' => $record->planter->id, 'lesson' => Lesson::LeftFindings->value], LearnedSum::lines($record->planter->id, Lesson::LeftFindings, $sums));
    }

    /** @return array<string, array{int, int}> left, and gone wrong, by check key */
    private static function counts(Planter $planter): array
    {
        $walks = Walk::query()->where('planter_id', $planter->id)->whereNotNull('finished_at')->orderBy('started_at')->orderBy('id')->get();
        $cells = self::conditions($planter);
        $changes = self::changes($planter);
        $counts = [];
        foreach ($walks as $at => $walk) {
            $next = $walks[$at + 1] ?? null;
            if ($next === null || $next->season === $walk->season) {
                // What becomes of it is not known before the next season's walk.
                continue;
            }
            foreach ($cells[$walk->id] ?? [] as $key => $severity) {
                $change = self::firstChange($changes[$key] ?? [], $walk->began(), $next->began());
                if ($change !== null && $change !== RemovalReason::Failed) {
                    continue;
                }
                $check = Place::fromKey($key)->check->value;
                $isWorse = $change === RemovalReason::Failed || ($cells[$next->id][$key] ?? 0) > $severity;
                $counts[$check] = [($counts[$check][0] ?? 0) + 1, ($counts[$check][1] ?? 0) + ($isWorse ? 1 : 0)];
            }
        }

        return $counts;
    }

    /** @return array<string, array<string, int>> severities of conditions that were not sound, by walk and place key */
    private static function conditions(Planter $planter): array
    {
        $place = Place::KEY_IN_SQL;
        $found = [];
        $rows = Cell::query()->where('planter_id', $planter->id)->whereNotNull('state')->where('result', Result::Recorded->value)
            ->whereIn('verdict', [Verdict::Watch->value, Verdict::Change->value, Verdict::Failed->value])
            ->toBase()->selectRaw("walk_id, verdict, {$place} AS place")->get();
        foreach ($rows as $row) {
            $found[$row->walk_id][$row->place] = Verdict::from($row->verdict)->severity();
        }

        return $found;
    }

    /** @return array<string, list<array{Moment, RemovalReason}>> when which part came out and why, by key of the places that look at it */
    private static function changes(Planter $planter): array
    {
        $changes = [];
        $rows = LedgerEvent::current($planter->id)->where('kind', LedgerEventKind::Fitted->value)->orderBy('happened_at')
            ->toBase()->selectRaw('row_number, slot, side, reason, '.Moments::sql('happened_at').' AS at')->get();
        foreach ($rows as $row) {
            foreach (Slot::from($row->slot)->checks() as $check) {
                $changes[(new Place($row->row_number, $check, Side::from($row->side)))->key()][] = [Moment::ofMilliseconds($row->at), RemovalReason::tryFrom($row->reason ?? '') ?? RemovalReason::Other];
            }
        }

        return $changes;
    }

    /** @param  list<array{Moment, RemovalReason}>  $changes  the oldest first */
    private static function firstChange(array $changes, Moment $from, Moment $until): ?RemovalReason
    {
        foreach ($changes as [$at, $reason]) {
            if (! $at->isBefore($from) && $at->isBefore($until)) {
                return $reason;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Cell;
use App\Models\Walk\Walk;
use App\Models\Walk\WalkRow;
use App\Models\Wear\Outlook as OutlookLine;
use App\Models\Wear\RenewedPart;
use App\Record\Affected;
use App\Record\BulkWrite;
use App\Record\Projector;
use App\Wear\AffectedChecks;
use App\Wear\WearRecord;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Parts\Life\Renewal;
use Ustrel\Core\Parts\Life\Renewals;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\RowSummary;
use Ustrel\Core\Wear\PlanterWear;

/**
 * Draws up the state of walks: from which size on a reading will not last, what holds at each place, what was fitted since,
 * and each row in one line.
 *
 * Of several readings at one place the one taken last holds (by time taken, then by id), in whatever order they came in.
 */
final readonly class WalkProjector implements Projector
{
    public function __construct(private WalkCells $cells)
    {
    }

    public static function draws(): array
    {
        return [OutlookLine::class, Cell::class, RenewedPart::class, WalkRow::class];
    }

    public function project(WearRecord $record, Affected $affected, BulkWrite $lines): void
    {
        foreach ($this->scopes($record, $affected) as $scope) {
            $this->draw($record, $scope, $lines);
        }
    }

    /** @return list<WalkScope> one for each walk that was touched, oldest first */
    private function scopes(WearRecord $record, Affected $affected): array
    {
        $isTouched = $affected->everything || $affected->read !== [] || $affected->walks !== [] || $affected->counted !== [] || $affected->partsSince !== null || $affected->acresSince !== null;
        if (! $isTouched) {
            return [];
        }
        $read = AffectedChecks::byReadings($affected);
        $byParts = AffectedChecks::byParts($affected);
        $zone = $record->planter->workshop->zone();
        $firstRead = null;
        $scopes = [];
        foreach ($record->walks() as $walk) {
            $scope = new WalkScope($walk);
            $scope->whole = $affected->everything || isset($affected->walks[$walk->id])
                // A day's acres count from its end.
                || ($affected->acresSince !== null && $affected->acresSince->isBefore($walk->began()->day($zone)));
            $next = $record->nextBegan($walk);
            if ($affected->partsSince !== null && ($next === null || $affected->partsSince->isBefore($next))) {
                $scope->renews = true;
                $scope->reckon($byParts);
            }
            if ($firstRead !== null && $firstRead->isBefore($walk->began())) {
                // It looks back at what was read.
                $scope->reckon($read);
            }
            if (isset($affected->read[$walk->id])) {
                $scope->read($affected->read[$walk->id]);
                $firstRead ??= $walk->began();
            }
            $scope->counts = isset($affected->counted[$walk->id]);
            if ($scope->isTouched()) {
                $scopes[] = $scope;
            }
        }

        return $scopes;
    }

    private function draw(WearRecord $record, WalkScope $scope, BulkWrite $lines): void
    {
        $walk = $scope->walk;
        $sheet = $walk->readSheet();
        $reckoned = PlanterWear::checks($sheet, $scope->whole ? null : array_keys($scope->reckoned));
        $outlooks = $this->reckon($record, $walk, $reckoned, $scope, $lines);
        $states = $scope->whole
            ? $this->cells->judgeAll($walk, $outlooks)
            : $this->cells->judge($walk, $scope, $outlooks);
        $lines->put(Cell::class, array_values(array_map(static fn (CellState $state): array => $state->line($walk), array_filter($states, static fn (CellState $state): bool => $state->isChanged))));

        $renewals = Renewals::of(
            $sheet,
            self::doneSince($record, $walk),
            array_map(static fn (CellState $state): Moment => $state->takenAt, $states),
            $outlooks,
        );
        $lines->replace(RenewedPart::class, ['walk_id' => $walk->id], array_values(array_map(static fn (Renewal $renewal): array => self::renewal($record, $walk, $renewal), $renewals)));
        $lines->replace(WalkRow::class, ['walk_id' => $walk->id], self::rows($walk, $states, $renewals));
        if ($scope->whole || $scope->renews || $scope->reckoned !== []) {
            $lines->guideHasChanged($walk->id);
        }
    }

    /**
     * @param  list<Check>  $reckoned
     * @return array<string, SeasonOutlook> those reckoned now and those kept, by place key
     */
    private function reckon(WearRecord $record, Walk $walk, array $reckoned, WalkScope $scope, BulkWrite $lines): array
    {
        $outlooks = [];
        $keys = PlanterWear::keys($reckoned);
        $wear = $reckoned === [] ? null : $record->wearOf($walk, $keys);
        foreach ($reckoned as $check) {
            $outlooks += $wear?->outlooks($check) ?? [];
        }
        if ($scope->whole || $reckoned !== []) {
            $lines->replace(
                OutlookLine::class,
                ['walk_id' => $walk->id] + ($scope->whole ? [] : ['check_key' => $keys]),
                array_map(static fn (string $key, SeasonOutlook $outlook): array => [
                    'walk_id' => $walk->id, ...OutlookLine::at(Place::fromKey($key)),
                    'turns_at' => number_format($outlook->turnsAt->unit()->valueOf($outlook->turnsAt), 6, '.', ''),
                ], array_keys($outlooks), array_values($outlooks)),
            );
        }

        return $scope->whole || ! self::needsKept($record, $walk, $scope, $reckoned) ? $outlooks : $outlooks + KeptOutlooks::of($walk, $keys);
    }

    /**
     * Whether anything is judged again whose outlook is not reckoned again: a place that was read, or a part fitted since.
     *
     * @param  list<Check>  $reckoned
     */
    private static function needsKept(WearRecord $record, Walk $walk, WalkScope $scope, array $reckoned): bool
    {
        $checks = array_map(static fn (Place $place): string => $place->check->value, array_values($scope->read));
        foreach (self::doneSince($record, $walk) as $event) {
            if ($event instanceof Installed && $event->size !== null) {
                $checks[] = $event->fitting->place->slot->checks()[0]->value;
            }
        }

        return PlanterWear::checks($walk->readSheet(), array_values(array_diff($checks, PlanterWear::keys($reckoned)))) !== [];
    }

    /** @return list<Installed|ShimsMoved> what was fitted or set anew since a walk began and until the next, oldest first */
    private static function doneSince(WearRecord $record, Walk $walk): array
    {
        $began = $walk->began();
        $until = $record->nextBegan($walk) ?? Moment::endOfTime();
        $done = [];
        foreach ([...$record->installed(), ...$record->moves()] as $event) {
            [$at, $id] = $event instanceof Installed ? [$event->fitting->from, $event->fitting->id] : [$event->at, $event->id];
            if (! $at->isBefore($began) && $at->isBefore($until)) {
                $done[] = [$at->milliseconds, $id, $event];
            }
        }
        usort($done, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return array_column($done, 2);
    }

    /** @return array<string, mixed> */
    private static function renewal(WearRecord $record, Walk $walk, Renewal $renewal): array
    {
        $on = ['on' => $renewal->at->day($record->planter->workshop->zone())->iso];
        $reasons = array_map(StoredReason::of(...), $renewal->judgement->reasons);
        $told = array_key_last($reasons);

        return [
            'walk_id' => $walk->id,
            ...RenewedPart::at($renewal->place),
            'result' => $renewal->result->value,
            'value' => $renewal->size === null ? null : number_format($renewal->size->unit()->valueOf($renewal->size), 6, '.', ''),
            'verdict' => $renewal->judgement->verdict->value,
            // The last says what was done.
            'reasons' => $told === null ? [] : [...array_slice($reasons, 0, $told), $reasons[$told] + $on],
            'life_left' => $renewal->lifeLeft === null ? null : round($renewal->lifeLeft, 4),
            'happened_at' => $renewal->at->toIso(),
        ];
    }

    /**
     * @param  array<string, CellState>  $states  by place key
     * @param  array<string, Renewal>  $renewals  by place key
     * @return list<array<string, mixed>>
     */
    private static function rows(Walk $walk, array $states, array $renewals): array
    {
        $scope = $walk->scope()->checks;
        $verdicts = $lives = $checked = [];
        foreach ($states + $renewals as $key => $state) {
            $now = $renewals[$key] ?? null;
            [$verdict, $life] = $now === null ? [$states[$key]->verdict, $states[$key]->lifeLeft] : [$now->judgement->verdict, $now->lifeLeft];
            $place = $now === null ? $states[$key]->place : $now->place;
            $row = $place->row;
            $verdicts[$row] ??= [];
            if ($verdict !== Verdict::Unchecked) {
                $verdicts[$row][] = $verdict;
                $checked[$row] = ($checked[$row] ?? 0) + (isset($scope[$place->check->value]) ? 1 : 0);
                if ($life !== null) {
                    $lives[$row][] = round($life, 4);
                }
            }
        }

        return array_map(static function (int $row, array $of) use ($walk, $lives, $checked): array {
            $summary = RowSummary::of($row, $of, $lives[$row] ?? [], $checked[$row] ?? 0);

            return ['walk_id' => $walk->id, 'row_number' => $row, 'verdict' => $summary->verdict->value, 'life_left' => $summary->lifeLeft, 'checked' => $summary->checked];
        }, array_keys($verdicts), array_values($verdicts));
    }
}

<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Plan\KeptPlan;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Work\Schedule\Breach;
use Ustrel\Core\Work\Schedule\Task;
use Ustrel\Core\Work\WorkList;

/** Finds the pieces of now in the plan that is kept: by their jobs, for a piece may have lost some since, or got more. */
final readonly class KeptPlaces
{
    private const DAY = 1440;

    /** @var array<string, array{planter: int, jobs: list<string>, person: string, starts: string, minutes: int, by_hand: bool, with?: list<string>}> by planter and job */
    private array $pieces;

    /** @var array<string, int> */
    private array $people;

    /** @param  list<string>  $names  of the people there are */
    public function __construct(
        private KeptPlan $kept,
        array $names,
        private Day $first,
    ) {
        $pieces = [];
        foreach ($kept->pieces as $piece) {
            foreach ($piece['jobs'] as $job) {
                $pieces["{$piece['planter']} {$job}"] = $piece;
            }
        }
        [$this->pieces, $this->people] = [$pieces, array_flip($names)];
    }

    /** @return non-empty-list<string> what a piece is known by */
    public static function jobs(PlannedWork $of): array
    {
        return array_map(static fn (Job $job): string => $job->key(), $of->piece->jobs) ?: [$of->piece->own?->key() ?? WorkList::SAFE];
    }

    /** @return array{int, int}|null who does it and when it begins, where somebody has set that and the one is still there */
    public function byHand(PlannedWork $of): ?array
    {
        $piece = $this->pieces["{$of->planter->id} ".self::jobs($of)[0]] ?? null;
        $person = $piece === null ? null : $this->people[$piece['person']] ?? null;

        return $piece === null || ! $piece['by_hand'] || $person === null ? null : [$person, max(0, $this->instant($piece['starts']))];
    }

    /**
     * @param  array<string, PlannedWork>  $pieces
     * @return array<string, array{list<int|null>, int}> who does each and when it begins; those that were added since are left out
     */
    public function of(array $pieces): array
    {
        $placed = [];
        foreach ($pieces as $key => $of) {
            $kept = array_map(fn (string $job): ?array => $this->pieces["{$of->planter->id} {$job}"] ?? null, self::jobs($of));
            if (in_array(null, $kept, true) || count(array_unique(array_column($kept, 'starts'))) > 1) {
                continue;
            }
            $placed[$key] = [array_map(fn (string $name): ?int => $this->people[$name] ?? null, [$kept[0]['person'], ...$kept[0]['with'] ?? []]), $this->instant($kept[0]['starts'])];
        }

        return $placed;
    }

    /**
     * As long as each was to take when the plan was kept: that jobs are learned to take longer breaks no plan by itself.
     *
     * @param  list<Task>  $tasks
     * @param  array<string, PlannedWork>  $pieces  by key of the task
     * @return list<Task>
     */
    public function lasting(array $tasks, array $pieces): array
    {
        return array_map(function (Task $task) use ($pieces): Task {
            $of = $pieces[$task->key];
            $kept = $this->pieces["{$of->planter->id} ".self::jobs($of)[0]] ?? null;

            return $kept === null ? $task : $task->lasting($kept['minutes']);
        }, $tasks);
    }

    /**
     * What planting waits for, and begins earlier than it did.
     *
     * @param  array<string, PlannedWork>  $pieces
     * @param  array<int, string|null>  $planting  day by planter
     * @return array<string, Breach>
     */
    public function sooner(array $pieces, array $planting): array
    {
        $breaches = [];
        foreach ($pieces as $key => $of) {
            $day = $planting[$of->planter->id] ?? null;
            if ($of->piece->blocks && $day !== null && $day < ($this->kept->planting[$of->planter->id] ?? '9999')) {
                $breaches[$key] = Breach::Planting;
            }
        }

        return $breaches;
    }

    private function instant(string $starts): int
    {
        return self::DAY * $this->first->daysUntil(Day::of(substr($starts, 0, 10))) + 60 * (int) substr($starts, 11, 2) + (int) substr($starts, 14, 2);
    }
}

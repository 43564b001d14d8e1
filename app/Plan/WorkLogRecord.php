<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Plan\Decision;
use App\Models\Planter;
use App\Models\Work\WorkEvent;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Work\WorkEventKind;

/** What hands said of what was decided: that it is done, or could not be. */
final readonly class WorkLogRecord
{
    /**
     * @param  array<string, Decision>  $decisions  by place key
     * @param  array<string, list<WorkEvent>>  $events  by place key, the oldest first
     */
    private function __construct(
        private array $decisions,
        private array $events,
    ) {
    }

    /** @param  array<string, Decision>  $decisions  by place key */
    public static function of(Planter $planter, array $decisions): self
    {
        $events = [];
        if ($decisions !== []) {
            $first = min(array_map(static fn (Decision $decision): string => $decision->recorded_at->toIso8601String(), $decisions));
            foreach (self::since($planter, $first) as $event) {
                foreach ($event->places as $place) {
                    $events[$place][] = $event;
                }
            }
        }

        return new self($decisions, $events);
    }

    /** @return Collection<int, WorkEvent> */
    private static function since(Planter $planter, string $first): Collection
    {
        return WorkEvent::current($planter->id)->where('kind', '<>', WorkEventKind::Ticked)->where('recorded_at', '>=', $first)->with('user')->orderBy('recorded_at')->orderBy('id')->get();
    }

    /** @return array<string, WorkEvent> since it was decided, by key of each job that is done */
    public function done(string $place): array
    {
        $done = [];
        foreach ($this->sinceDecided($place) as $event) {
            $done += $event->kind === WorkEventKind::Finished ? array_fill_keys($event->targets, $event) : [];
        }

        return $done;
    }

    /** That somebody could not do it since it was decided. */
    public function couldNot(string $place): ?WorkEvent
    {
        $tried = array_filter($this->sinceDecided($place), static fn (WorkEvent $event): bool => $event->kind === WorkEventKind::CouldNot);

        return $tried === [] ? null : end($tried);
    }

    /** @return list<WorkEvent> */
    private function sinceDecided(string $place): array
    {
        $decided = ($this->decisions[$place] ?? null)?->recorded_at;

        return $decided === null ? [] : array_values(array_filter($this->events[$place] ?? [], static fn (WorkEvent $event): bool => $event->recorded_at->greaterThanOrEqualTo($decided)));
    }
}

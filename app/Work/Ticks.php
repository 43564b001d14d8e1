<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\WorkEvent;
use App\Record\Moments;
use Ustrel\Core\Work\TickedLines;

/** What was ticked and done on a planter, as the record has it. */
final class Ticks
{
    /** Older ones belong to work that nobody does any more. */
    private const MONTHS = 18;

    /** @var array<string, true> that are ticked in the batch that is being read */
    private array $added = [];

    /**
     * @param  array<string, WorkEvent>  $ticks  those that hold, by what was ticked
     * @param  array<string, WorkEvent>  $closed  the newest by which a job was done, or could not be
     */
    private function __construct(
        public readonly array $ticks,
        private readonly array $closed,
    ) {
    }

    /** @param  Planter  $planter  with its workshop */
    public static function of(Planter $planter): self
    {
        $zone = $planter->workshop->zone();
        $events = WorkEvent::current($planter->id)->where('recorded_at', '>=', now()->subMonths(self::MONTHS))->with('user')->orderBy('recorded_at')->orderBy('id')->get()->all();
        $lines = TickedLines::after(
            array_map(static fn (WorkEvent $event): array => [$event->kind, $event->row_number, $event->targets, Moments::of($event->recorded_at)->day($zone)], array_values($events)),
            $planter->workshop->today(),
        );
        $event = static fn (int $index): WorkEvent => $events[$index];

        return new self(array_map($event, $lines->ticks), array_map($event, $lines->closed));
    }

    /** @return array<string, WorkEvent|null> by what is ticked on the card of a piece; null in this batch */
    public function on(PlannedWork $piece): array
    {
        $held = array_filter(array_intersect_key($this->ticks, $piece->card->lines), static fn (WorkEvent $tick): bool => $tick->recorded_at->format(PlannedWork::MOMENT) >= $piece->ticksSince());

        return $held + array_fill_keys(array_keys(array_intersect_key($this->added, $piece->card->lines)), null);
    }

    public function add(string $target): void
    {
        $this->added[$target] = true;
    }

    /**
     * By what it was done, or could not be.
     *
     * @param  list<string>  $targets
     */
    public function closing(array $targets): ?WorkEvent
    {
        foreach ($targets as $target) {
            if (isset($this->closed[$target])) {
                return $this->closed[$target];
            }
        }

        return null;
    }
}

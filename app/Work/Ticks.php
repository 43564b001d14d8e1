<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\WorkEvent;
use App\Record\Moments;
use Ustrel\Core\Work\Card;
use Ustrel\Core\Work\WorkEventKind;

/**
 * What was ticked and done on a planter. A tick holds until what it belongs to is done, or could not be; what came off is on
 * again once anything of its row is finished; that the planter is safe is said anew each day.
 */
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
        $ticks = $closed = [];
        $events = WorkEvent::held($planter->id)->where('recorded_at', '>=', now()->subMonths(self::MONTHS))->with('user')->orderBy('recorded_at')->orderBy('id')->get();
        foreach ($events as $event) {
            $ticks = array_diff_key($ticks, array_flip($event->targets));
            if ($event->kind === WorkEventKind::Finished) {
                $ticks = array_filter($ticks, static fn (string $target): bool => ! str_starts_with($target, "off:{$event->row_number}:"), ARRAY_FILTER_USE_KEY);
            }
            foreach ($event->targets as $target) {
                if ($event->kind === WorkEventKind::Ticked) {
                    $ticks[$target] = $event;
                } else {
                    $closed[$target] = $event;
                }
            }
        }

        $today = $planter->workshop->today();
        $zone = $planter->workshop->zone();
        $isStale = static fn (WorkEvent $tick, string $target): bool => Card::isSafety($target) && Moments::of($tick->recorded_at)->day($zone)->isBefore($today);

        return new self(array_filter($ticks, static fn (WorkEvent $tick, string $target): bool => ! $isStale($tick, $target), ARRAY_FILTER_USE_BOTH), $closed);
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

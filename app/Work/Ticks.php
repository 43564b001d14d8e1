<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\WorkEvent;
use Ustrel\Core\Work\WorkEventKind;

/** What was ticked and done on a planter: a tick holds until what it belongs to is done, or could not be. */
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

    public static function of(Planter $planter): self
    {
        $ticks = $closed = [];
        $events = WorkEvent::held($planter->id)->where('recorded_at', '>=', now()->subMonths(self::MONTHS))->with('user')->orderBy('recorded_at')->orderBy('id')->get();
        foreach ($events as $event) {
            $ticks = array_diff_key($ticks, array_flip($event->targets));
            foreach ($event->targets as $target) {
                if ($event->kind === WorkEventKind::Ticked) {
                    $ticks[$target] = $event;
                } else {
                    $closed[$target] = $event;
                }
            }
        }

        return new self($ticks, $closed);
    }

    /** @return array<string, WorkEvent|null> by what is ticked on the card of a piece; null in this batch */
    public function on(PlannedWork $piece): array
    {
        $held = array_filter(array_intersect_key($this->ticks, $piece->card->lines), static fn (WorkEvent $tick): bool => $tick->recorded_at->format('Y-m-d H:i:s.v') >= $piece->since);

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

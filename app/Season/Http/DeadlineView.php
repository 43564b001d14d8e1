<?php

declare(strict_types=1);

namespace App\Season\Http;

use App\Http\Api\Schema;
use App\Season\PreparedSeason;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Season\CountdownStep;
use Ustrel\Core\Season\Deadline;

final readonly class DeadlineView extends Schema
{
    public function __construct(
        /** @var list<string> What keeps it open, in words */
        public array $said,
        /** A step of the job, or the id of an own item */
        public string $key,
        /** Of an own item */
        public ?string $title,
        public Day $due,
        /** Null where nobody has hours for it */
        public ?Day $latest_start,
        public bool $done,
        public bool $late,
        /** No record tells: somebody says that it is done */
        public bool $by_hand,
    ) {
    }

    /**
     * @param  array<string, list<string>>  $notes
     */
    public static function of(Deadline $deadline, PreparedSeason $view, array $notes): self
    {
        $step = CountdownStep::tryFrom($deadline->key);

        return new self(
            key: $deadline->key,
            title: $step === null ? array_column($view->plan->own_items, 'title', 'id')[$deadline->key] ?? '' : null,
            due: $deadline->due,
            latest_start: $deadline->latestStart,
            done: $deadline->isDone,
            late: $deadline->isLate,
            by_hand: $deadline->isByHand,
            said: $deadline->isDone ? [] : $notes[$deadline->key] ?? [],
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use DateTimeInterface;
use Ustrel\Core\Field\Watch\Watched;

final readonly class WatchRunView extends Schema
{
    public function __construct(
        public string $id,
        /** @var 'waiting'|'running'|'ended' */
        public string $state,
        public string $field,
        public int $acres,
        public bool $practice,
        /** Seconds since the monitor was heard; null before it was */
        public ?int $monitor_quiet,
        /** In words */
        public ?string $mph,
        /** Whether it is let down */
        public bool $down,
        /** @var list<int> Rows that somebody said are shut off on purpose */
        public array $shut,
        /** @var list<int> Rows that the monitor says are shut off */
        public array $off,
        /**
         * @var list<array{
         *     row: int,
         *     state: 'sound'|'watch'|'change'|'failed'|'off'|'unheard', // By the alarms that are open
         *     height: float|null, // Its population, of the highest
         *     figures: list<array{watched: Watched, says: string}>, // In words
         * }>
         */
        public array $rows,
        /** @var list<WatchAlarmView> The newest first */
        public array $alarms,
        /**
         * The newest first
         *
         * @var list<array{
         *     number: int,
         *     from_at: DateTimeInterface,
         *     minutes: float,
         *     acres: string,
         *     mph: string,
         *     population: string|null,
         *     lowest: string|null, // The row with the lowest population, in words
         * }>
         */
        public array $passes,
        public int $refused_lines,
        public string $refused,
        public DateTimeInterface $made_at,
        public ?DateTimeInterface $started_at,
        public ?DateTimeInterface $ended_at,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use DateTimeInterface;
use Ustrel\Core\Work\CouldNotReason;
use Ustrel\Core\Work\WorkEventKind;

final readonly class HandsView extends Schema
{
    public function __construct(
        /**
         * That hold
         *
         * @var list<array{
         *     id: string,
         *     target: string,
         *     by: string, // Name
         *     happened_at: DateTimeInterface,
         *     recorded_at: DateTimeInterface,
         * }>
         */
        public array $ticks,
        /**
         * What was finished or could not be done, the newest first
         *
         * @var list<array{
         *     id: string,
         *     kind: WorkEventKind,
         *     row: int,
         *     targets: list<string>,
         *     title: string|null, // Of own work
         *     minutes: int|null,
         *     seized_minutes: int,
         *     lubricant: string,
         *     reason: CouldNotReason|null,
         *     words: string,
         *     ledger: list<string>,
         *     by: string,
         *     happened_at: DateTimeInterface,
         *     recorded_at: DateTimeInterface,
         * }>
         */
        public array $done,
    ) {
    }
}

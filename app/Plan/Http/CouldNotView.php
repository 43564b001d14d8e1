<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use App\Models\Work\WorkEvent;
use DateTimeInterface;
use Ustrel\Core\Work\CouldNotReason;

final readonly class CouldNotView extends Schema
{
    public function __construct(
        public ?CouldNotReason $reason,
        public string $words,
        public string $by,
        public DateTimeInterface $happened_at,
    ) {
    }

    public static function of(WorkEvent $event): self
    {
        return new self(reason: $event->reason, words: $event->words, by: $event->user->name, happened_at: $event->happened_at);
    }
}

<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use App\Models\Plan\Decision;
use DateTimeInterface;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;

final readonly class DecisionView extends Schema
{
    public function __construct(
        public string $id,
        public Action $action,
        public ?Action $proposed,
        public ?OverrideReason $reason,
        public string $words,
        public ?LookWhen $look_when,
        public ?float $look_acres,
        public float $cost,
        public int $unpriced,
        public float $minutes,
        public DateTimeInterface $happened_at,
        /** Name of who decided */
        public string $by,
        public int $season,
    ) {
    }

    public static function of(Decision $decision): self
    {
        return new self(
            id: $decision->id,
            action: $decision->action,
            proposed: $decision->proposed,
            reason: $decision->reason,
            words: $decision->words,
            look_when: $decision->look_when,
            look_acres: $decision->look_acres === null ? null : (float) $decision->look_acres,
            cost: (float) $decision->cost,
            unpriced: $decision->unpriced,
            minutes: (float) $decision->minutes,
            happened_at: $decision->happened_at,
            by: $decision->user->name,
            season: $decision->walk->season,
        );
    }
}

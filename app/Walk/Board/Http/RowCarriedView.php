<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Schema;
use App\Models\Plan\Decision;
use DateTimeInterface;
use Ustrel\Core\Plan\OverrideReason;
use Ustrel\Core\Plan\Policy\LookWhen;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

final readonly class RowCarriedView extends Schema
{
    public function __construct(
        public CheckKey $check,
        public Side $side,
        public int $season,
        public string $by,
        public ?OverrideReason $reason,
        public string $words,
        public ?LookWhen $look_when,
        public ?float $look_acres,
        public DateTimeInterface $happened_at,
    ) {
    }

    public static function of(Decision $of): self
    {
        return new self(
            $of->check_key, $of->side, $of->walk->season, $of->user->name, $of->reason, $of->words, $of->look_when,
            $of->look_acres === null ? null : (float) $of->look_acres, $of->happened_at,
        );
    }
}

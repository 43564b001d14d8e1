<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Proposal;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

final readonly class RainJobView extends Schema
{
    public function __construct(
        public int $row,
        public CheckKey $check,
        public Side $side,
        public Action $action,
        public ?float $chance,
        /** By itself */
        public float $minutes,
    ) {
    }

    public static function of(Proposal $of): self
    {
        return new self(
            row: $of->place->row, check: $of->place->check, side: $of->place->side, action: $of->action,
            chance: $of->risk->chance === null ? null : round($of->risk->chance, 3), minutes: $of->minutes,
        );
    }
}

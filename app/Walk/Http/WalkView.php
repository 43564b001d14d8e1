<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Models\Walk\Walk;
use DateTimeInterface;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

final readonly class WalkView extends Schema
{
    public function __construct(
        public string $id,
        /** The year of planting */
        public int $season,
        public WalkKind $kind,
        public WalkOrder $order,
        public int $row_count,
        /** @var list<CheckKey> The checks that are walked */
        public array $checks,
        /** The name of the pack that it was started with */
        public ?string $pack,
        /** How many readings the whole walk takes */
        public int $places,
        public DateTimeInterface $started_at,
        public ?DateTimeInterface $finished_at,
    ) {
    }

    public static function of(Walk $of): self
    {
        return new self(
            $of->id, $of->season, $of->kind, $of->walk_order, $of->row_count, array_map(CheckKey::from(...), array_keys($of->scope()->checks)), $of->pack, $of->places(), $of->started_at, $of->finished_at,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\MeterMove;
use DateTimeInterface;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Meter\Places\MeterStay;
use Ustrel\Core\Meter\Places\MeterTo;

final readonly class MeterStayView extends Schema
{
    public function __construct(
        /** Of the move */
        public string $id,
        public MeterTo $to,
        public ?int $planter_id,
        public ?int $row,
        public string $place,
        public DateTimeInterface $from,
        /** Null where it still is there */
        public ?Moment $until,
    ) {
    }

    public static function of(MeterStay $stay, MeterMove $move): self
    {
        return new self(
            id: $move->id, to: $move->to, planter_id: $move->planter_id, row: $move->row_number, place: $move->place,
            from: $move->happened_at, until: $stay->until,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use App\Parts\MovedShims;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Ustrel\Core\Spec\Side;

final readonly class ShimMoveView extends Schema
{
    public function __construct(
        public string $id,
        public int $row,
        /** centre for both */
        public Side $side,
        /** Added on each side, or on that one; negative for taken out */
        public int $pairs,
        public ?float $contact_before_mm,
        public string $note,
        public DateTimeInterface $happened_at,
        public string $by,
    ) {
    }

    public static function of(MovedShims $move): self
    {
        return new self(
            id: $move->id,
            row: $move->row,
            side: Side::from($move->side),
            pairs: $move->pairs,
            contact_before_mm: $move->contactBefore,
            note: $move->note,
            happened_at: CarbonImmutable::parse($move->at),
            by: $move->by,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Parts;

/** One part in one slot over a span of time, with what was recorded when it went in. */
final readonly class FittedPart
{
    public function __construct(
        public string $id,
        public int $row,
        public string $slot,
        public string $side,
        public string $partId,
        public ?int $partTypeId,
        public ?string $partName,
        public bool $used,
        /** Millimetres, as the database hands it out. */
        public ?string $size,
        public string $ranBefore,
        public ?int $shims,
        public ?string $cost,
        public string $note,
        public string $fittedAt,
        public string $fittedBy,
        public ?string $removedAt,
        public ?string $removalReason,
        /** Furrow metres here, and of the piece altogether until it left. */
        public float $ran,
        public float $partRan,
    ) {
    }
}

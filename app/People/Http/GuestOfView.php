<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use DateTimeInterface;

final readonly class GuestOfView extends Schema
{
    public function __construct(
        public int $id,
        public string $name,
        public string $planter,
        public DateTimeInterface $expires_at,
        public ?DateTimeInterface $last_seen_at,
    ) {
    }
}

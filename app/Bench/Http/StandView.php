<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Schema;
use App\Models\Bench\Device;
use DateTimeInterface;

/** A test stand or a row monitor, that may deliver what it counts. */
final readonly class StandView extends Schema
{
    public function __construct(
        public int $id,
        public string $name,
        public DateTimeInterface $made_at,
        /** @var 'stand'|'monitor' */
        public string $kind,
        public ?DateTimeInterface $heard_at,
    ) {
    }

    public static function of(Device $of): self
    {
        return new self($of->id, $of->name, $of->made_at, $of->kind, $of->heard_at);
    }
}

<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use DateTimeInterface;

final readonly class ActivityView extends Schema
{
    public function __construct(
        public int $id,
        public DateTimeInterface $at,
        /** null: nobody who was signed in, as from the console */
        public ?string $who,
        /** created, updated, deleted, signed_in, password_changed, exported */
        public string $what,
        /** What kind of thing it was done to */
        public ?string $kind,
        /** What it was called then */
        public ?string $name,
        /** @var list<array{field: string, before: string|null, after: string|null}> Only what differs */
        public array $changes,
    ) {
    }
}

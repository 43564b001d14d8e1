<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use App\Models\People\Role;
use DateTimeInterface;

final readonly class InvitationView extends Schema
{
    public function __construct(
        public int $id,
        public Role $role,
        public ?string $email,
        public string $by,
        public DateTimeInterface $expires_at,
    ) {
    }
}

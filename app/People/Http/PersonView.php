<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use App\Models\People\Role;
use App\Models\User;
use DateTimeInterface;

final readonly class PersonView extends Schema
{
    public function __construct(
        public int $id,
        public string $name,
        public ?string $email,
        public Role $role,
        public bool $is_active,
        /** On any device; null: not within the life of a session */
        public ?DateTimeInterface $last_seen_at,
    ) {
    }

    public static function of(User $person): self
    {
        return new self(
            id: $person->id, name: $person->name, email: $person->email, role: $person->role,
            is_active: $person->deactivated_at === null, last_seen_at: self::lastSeen($person),
        );
    }

    public static function lastSeen(User $person): ?DateTimeInterface
    {
        $seconds = array_key_exists('last_seen', $person->getAttributes()) ? $person->getAttribute('last_seen') : $person->sessions()->max('last_activity');

        return $seconds === null ? null : now()->setTimestamp((int) $seconds);
    }
}

<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Person', required: ['id', 'name', 'email', 'role', 'is_active', 'last_seen_at'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string', nullable: true),
    new OA\Property(property: 'role', ref: '#/components/schemas/Role'),
    new OA\Property(property: 'is_active', type: 'boolean'),
    new OA\Property(property: 'last_seen_at', description: 'On any device; null: not within the life of a session', type: 'string', format: 'date-time', nullable: true),
])]
#[OA\Schema(schema: 'Invitation', required: ['id', 'role', 'email', 'by', 'expires_at'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'role', ref: '#/components/schemas/Role'),
    new OA\Property(property: 'email', type: 'string', nullable: true),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'expires_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'GuestOf', required: ['id', 'name', 'planter', 'expires_at', 'last_seen_at'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'planter', type: 'string'),
    new OA\Property(property: 'expires_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'last_seen_at', type: 'string', format: 'date-time', nullable: true),
])]
#[OA\Schema(schema: 'People', required: ['people', 'invitations', 'guests'], properties: [
    new OA\Property(property: 'people', type: 'array', items: new OA\Items(ref: '#/components/schemas/Person')),
    new OA\Property(property: 'invitations', description: 'Still open', type: 'array', items: new OA\Items(ref: '#/components/schemas/Invitation')),
    new OA\Property(property: 'guests', description: 'Links that have not ended', type: 'array', items: new OA\Items(ref: '#/components/schemas/GuestOf')),
])]
final class PeopleShape
{
    /** @return array<string, mixed> */
    public static function of(Workshop $workshop): array
    {
        $guests = $workshop->users()->letIn()->where('role', Role::Guest)->with('planter:id,name')->withMax('sessions as last_seen', 'last_activity')->orderBy('name')->orderBy('id')->get();

        return [
            'people' => $workshop->people()->withMax('sessions as last_seen', 'last_activity')->orderByRaw('deactivated_at IS NOT NULL, name, id')->get()->map(self::person(...))->all(),
            'invitations' => $workshop->invitations()->open()->with('maker:id,name')->orderByDesc('id')->get()->map(static fn (Invitation $one): array => [
                'id' => $one->id, 'role' => $one->role->value, 'email' => $one->email, 'by' => $one->maker->name, 'expires_at' => $one->expires_at->toIso8601ZuluString(),
            ])->all(),
            'guests' => $guests->map(static fn (User $guest): array => [
                'id' => $guest->id, 'name' => $guest->name, 'planter' => $guest->planter?->name,
                'expires_at' => $guest->link_expires_at?->toIso8601ZuluString(), 'last_seen_at' => self::lastSeen($guest),
            ])->all(),
        ];
    }

    /** @return array<string, mixed> */
    public static function person(User $person): array
    {
        return [
            'id' => $person->id, 'name' => $person->name, 'email' => $person->email, 'role' => $person->role->value,
            'is_active' => $person->deactivated_at === null, 'last_seen_at' => self::lastSeen($person),
        ];
    }

    private static function lastSeen(User $person): ?string
    {
        $seconds = array_key_exists('last_seen', $person->getAttributes()) ? $person->getAttribute('last_seen') : $person->sessions()->max('last_activity');

        return $seconds === null ? null : now()->setTimestamp((int) $seconds)->toIso8601ZuluString();
    }
}

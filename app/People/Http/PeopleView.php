<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use LogicException;

final readonly class PeopleView extends Schema
{
    public function __construct(
        /** @var list<PersonView> */
        public array $people,
        /** @var list<InvitationView> Still open */
        public array $invitations,
        /** @var list<GuestOfView> Links that have not ended */
        public array $guests,
    ) {
    }

    public static function of(Workshop $workshop): self
    {
        $guests = $workshop->users()->letIn()->where('role', Role::Guest)->with('planter:id,name')->withMax('sessions as last_seen', 'last_activity')->orderBy('name')->orderBy('id')->get();

        return new self(
            people: array_values($workshop->people()->withMax('sessions as last_seen', 'last_activity')->orderByRaw('deactivated_at IS NOT NULL, name, id')->get()->map(PersonView::of(...))->all()),
            invitations: array_values($workshop->invitations()->open()->with('maker:id,name')->orderByDesc('id')->get()->map(static fn (Invitation $one): InvitationView => new InvitationView(
                id: $one->id, role: $one->role, email: $one->email, by: $one->maker->name, expires_at: $one->expires_at,
            ))->all()),
            guests: array_values($guests->map(static fn (User $guest): GuestOfView => new GuestOfView(
                id: $guest->id, name: $guest->name, planter: (string) $guest->planter?->name,
                expires_at: $guest->link_expires_at ?? throw new LogicException('A guest has a link'), last_seen_at: PersonView::lastSeen($guest),
            ))->all()),
        );
    }
}

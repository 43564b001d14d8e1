<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Invitation;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes up an invitation: the person becomes one of the workshop's. */
final class AcceptInvitation
{
    /** @throws ValidationException where it is none, or cannot be taken up any more */
    public function look(string $secret, bool $hold = false): Invitation
    {
        $invitation = Invitation::query()->where('link_sha256', Link::digest($secret))->when($hold, static fn ($query) => $query->lockForUpdate())->first();

        return match (true) {
            $invitation === null => throw NotLetIn::because('link_unknown'),
            $invitation->accepted_at !== null => throw NotLetIn::because('invitation_used'),
            $invitation->withdrawn_at !== null => throw NotLetIn::because('invitation_withdrawn'),
            $invitation->expires_at->isPast() => throw NotLetIn::because('invitation_expired'),
            default => $invitation,
        };
    }

    /**
     * @param  string  $email  as Email::normal makes it
     *
     * @throws ValidationException
     */
    public function __invoke(string $secret, string $name, string $email, string $password): User
    {
        return DB::transaction(function () use ($secret, $name, $email, $password): User {
            $workshopId = $this->look($secret)->workshop_id;
            // The workshop first, as everything that changes it; then what it has become meanwhile.
            $workshop = Workshop::query()->lock('for no key update')->findOrFail($workshopId);
            $invitation = $this->look($secret, hold: true);
            if ($invitation->email !== null && $invitation->email !== $email) {
                throw ValidationException::withMessages(['email' => __('people.invitation_other')]);
            }
            if (User::query()->where('email', $email)->exists()) {
                throw ValidationException::withMessages(['email' => __('people.email_taken')]);
            }
            $user = $workshop->users()->create(['name' => $name, 'email' => $email, 'password' => $password, 'role' => $invitation->role, 'units' => $workshop->units]);
            $invitation->update(['accepted_at' => now(), 'accepted_by' => $user->id]);

            return $user;
        });
    }
}

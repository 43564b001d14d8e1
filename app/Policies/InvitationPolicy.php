<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\People\Invitation;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** An invitation is its workshop's alone; to anybody else it does not exist. */
final class InvitationPolicy
{
    public function manage(User $user, Invitation $invitation): Response
    {
        return $invitation->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

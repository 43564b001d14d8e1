<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Somebody is their own workshop's; to anybody else they do not exist. */
final class UserPolicy
{
    public function manage(User $user, User $person): Response
    {
        return $person->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

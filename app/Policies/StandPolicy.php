<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Bench\Stand;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** It is its workshop's alone; to anybody else it does not exist. */
final class StandPolicy
{
    public function view(User $user, Stand $stand): Response
    {
        return $stand->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

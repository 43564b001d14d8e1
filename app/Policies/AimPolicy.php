<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Aim;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** It is its workshop's alone; to anybody else it does not exist. */
final class AimPolicy
{
    public function view(User $user, Aim $aim): Response
    {
        return $aim->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

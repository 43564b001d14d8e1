<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Walk\Pack;
use Illuminate\Auth\Access\Response;

/** A pack is its workshop's alone; to anybody else it does not exist. */
final class PackPolicy
{
    public function update(User $user, Pack $pack): Response
    {
        return $pack->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

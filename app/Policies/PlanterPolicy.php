<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Planter;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A planter is its workshop's alone, and a guest's whose link is to it; to anybody else it does not exist. */
final class PlanterPolicy
{
    public function view(User $user, Planter $planter): Response
    {
        $isTheirs = $planter->workshop_id === $user->workshop_id && ($user->planter_id === null || $user->planter_id === $planter->id);

        return $isTheirs ? Response::allow() : Response::denyAsNotFound();
    }
}

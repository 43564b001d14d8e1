<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Planter;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A planter is its workshop's alone; to anybody else it does not exist. */
final class PlanterPolicy
{
    public function view(User $user, Planter $planter): Response
    {
        return $planter->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Walk\Walk;
use Illuminate\Auth\Access\Response;

/** A walk belongs to whom its planter belongs. */
final class WalkPolicy
{
    public function view(User $user, Walk $walk): Response
    {
        return (new PlanterPolicy)->view($user, $walk->planter);
    }
}

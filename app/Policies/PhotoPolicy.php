<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use App\Models\Walk\Photo;
use Illuminate\Auth\Access\Response;

/** A photo belongs to whom its planter belongs. */
final class PhotoPolicy
{
    public function view(User $user, Photo $photo): Response
    {
        return (new PlanterPolicy)->view($user, $photo->planter);
    }
}

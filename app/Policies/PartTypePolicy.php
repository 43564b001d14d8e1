<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Parts\PartType;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A part type is its workshop's alone; to anybody else it does not exist. */
final class PartTypePolicy
{
    public function view(User $user, PartType $partType): Response
    {
        return $partType->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

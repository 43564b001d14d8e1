<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Bench\SeedLot;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** It is its workshop's alone; to anybody else it does not exist. */
final class SeedLotPolicy
{
    public function view(User $user, SeedLot $seedLot): Response
    {
        return $seedLot->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Parts\Supplier;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** It is its workshop's alone; to anybody else it does not exist. */
final class SupplierPolicy
{
    public function view(User $user, Supplier $supplier): Response
    {
        return $supplier->workshop_id === $user->workshop_id ? Response::allow() : Response::denyAsNotFound();
    }
}

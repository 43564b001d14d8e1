<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Planter;
use App\Models\User;
use App\Models\Walk\Photo;
use App\Models\Walk\Walk;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/** What belongs to a workshop is its own alone: to anybody else it does not exist. A guest sees the planter of their link. */
final class WorkshopPolicy
{
    public function view(User $user, Model $of): Response
    {
        $planter = match (true) {
            $of instanceof Planter => $of,
            $of instanceof Walk, $of instanceof Photo => $of->planter,
            default => null,
        };
        $isTheirs = ($planter ?? $of)->getAttribute('workshop_id') === $user->workshop_id
            && ($planter === null || in_array($user->planter_id, [null, $planter->id], true));

        return $isTheirs ? Response::allow() : Response::denyAsNotFound();
    }

    public function update(User $user, Model $of): Response
    {
        return $this->view($user, $of);
    }

    public function manage(User $user, Model $of): Response
    {
        return $this->view($user, $of);
    }
}

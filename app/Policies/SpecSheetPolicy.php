<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\SpecSheet;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Typical sheets are everybody's to read and nobody's to edit; a copy is its workshop's alone. */
final class SpecSheetPolicy
{
    public function view(User $user, SpecSheet $sheet): Response
    {
        return in_array($sheet->workshop_id, [null, $user->workshop_id], true) ? Response::allow() : Response::denyAsNotFound();
    }

    public function update(User $user, SpecSheet $sheet): Response
    {
        return match ($sheet->workshop_id) {
            $user->workshop_id => Response::allow(),
            null => Response::deny(__('error.typical_sheet')),
            default => Response::denyAsNotFound(),
        };
    }
}

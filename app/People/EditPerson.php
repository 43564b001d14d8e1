<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Change;
use Illuminate\Validation\ValidationException;

/** Changes what a person may do, and whether they are let in at all. A workshop always keeps an owner. */
final readonly class EditPerson
{
    public function __construct(private Change $change, private Devices $devices)
    {
    }

    /** @throws ValidationException where nobody would be left to run the workshop */
    public function __invoke(User $person, ?Role $role, ?bool $letIn): User
    {
        /** @var User */
        return $this->change->ofWorkshop($person->workshop_id, function (Workshop $workshop) use ($person, $role, $letIn): User {
            $held = $workshop->users()->findOrFail($person->id);
            if ($held->role === Role::Guest && $role !== null) {
                throw ValidationException::withMessages(['role' => __('people.is_guest')]);
            }
            $held->fill(array_filter(['role' => $role], static fn (?Role $given): bool => $given !== null));
            if ($letIn !== null && $letIn !== ($held->deactivated_at === null)) {
                $held->deactivated_at = $letIn ? null : now()->toImmutable();
            }
            $staysOwner = $held->role === Role::Owner && $held->deactivated_at === null;
            $others = $workshop->users()->letIn()->where('role', Role::Owner)->whereKeyNot($held->id);
            if (! $staysOwner && $held->getOriginal('role') === Role::Owner && ! $others->exists()) {
                throw ValidationException::withMessages([$letIn === false ? 'is_active' : 'role' => __('people.last_owner')]);
            }
            $held->save();
            if (! $staysOwner) {
                // Who lets nobody in any more has not let in those who have yet to come either.
                $workshop->invitations()->open()->where('made_by', $held->id)->update(['withdrawn_at' => now()]);
            }
            if ($held->deactivated_at !== null) {
                $this->devices->endAll($held);
            }

            return $held;
        });
    }
}

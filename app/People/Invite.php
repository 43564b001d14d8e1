<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use App\People\Mail\InvitationMail;
use App\Record\Change;
use Illuminate\Support\Facades\Mail;
use Illuminate\Validation\ValidationException;

/** Makes a link by which somebody joins the workshop once, and sends it where an address is given. */
final readonly class Invite
{
    public const DAYS = 7;

    private const MOST_PEOPLE = 200;

    public function __construct(private Change $change)
    {
    }

    /**
     * @return array{Invitation, Link}
     *
     * @throws ValidationException
     */
    public function __invoke(User $by, Role $role, ?string $email): array
    {
        $link = Link::to('join');
        /** @var Invitation $invitation */
        $invitation = $this->change->ofWorkshop($by->workshop_id, static function (Workshop $workshop) use ($by, $role, $email, $link): Invitation {
            if ($email !== null && $workshop->users()->where('email', $email)->exists()) {
                throw ValidationException::withMessages(['email' => __('people.email_taken')]);
            }
            if ($workshop->people()->count() + $workshop->invitations()->open()->count() >= self::MOST_PEOPLE) {
                throw ValidationException::withMessages(['role' => __('people.most_people', ['most' => self::MOST_PEOPLE])]);
            }

            return $workshop->invitations()->create([
                'role' => $role, 'email' => $email, 'link_sha256' => $link->sha256, 'expires_at' => now()->addDays(self::DAYS), 'made_by' => $by->id,
            ]);
        });
        if ($email !== null) {
            Mail::to($email)->send(new InvitationMail($by, $invitation, $link->address));
        }

        return [$invitation, $link];
    }
}

<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Role;
use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use App\Record\Change;
use Illuminate\Validation\ValidationException;

/** Links by which somebody outside the workshop, as the farmer whose planter it is, looks at one planter for a time. */
final readonly class GuestLinks
{
    public const MOST_DAYS = 400;

    private const MOST = 200;

    public function __construct(private Change $change)
    {
    }

    /**
     * @return array{User, Link}
     *
     * @throws ValidationException
     */
    public function make(User $by, Planter $planter, string $name, int $days): array
    {
        $link = Link::to('guest');
        /** @var User $guest */
        $guest = $this->change->ofWorkshop($by->workshop_id, static function (Workshop $workshop) use ($by, $planter, $name, $days, $link): User {
            if ($workshop->users()->letIn()->where('role', Role::Guest)->count() >= self::MOST) {
                throw ValidationException::withMessages(['name' => __('people.most_guests', ['most' => self::MOST])]);
            }

            return $workshop->users()->create([
                'name' => $name, 'role' => Role::Guest, 'planter_id' => $planter->id, 'units' => $workshop->units,
                'link_sha256' => $link->sha256, 'link_expires_at' => now()->addDays($days), 'made_by' => $by->id,
            ]);
        });

        return [$guest, $link];
    }

    /** @throws ValidationException where the link has ended, or never was one */
    public function guest(string $secret): User
    {
        $guest = User::query()->where('link_sha256', Link::digest($secret))->first() ?? throw NotLetIn::because('link_unknown');

        return $guest->isLetIn() ? $guest : throw NotLetIn::because('guest_ended');
    }
}

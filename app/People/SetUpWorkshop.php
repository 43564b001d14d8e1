<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Field\FirstLink;
use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Begins an installation of one's own: a one-time link, and with it the workshop and its first owner. */
final class SetUpWorkshop
{
    private const HOURS = 24;

    /** A new link in the place of those before it; null where there is a workshop already. */
    public function link(): ?Link
    {
        if (Workshop::query()->exists()) {
            return null;
        }
        $link = Link::to('set-up');
        DB::transaction(static function () use ($link): void {
            FirstLink::query()->whereNull('used_at')->delete();
            FirstLink::query()->create(['link_sha256' => $link->sha256, 'expires_at' => now()->addHours(self::HOURS)]);
        });

        return $link;
    }

    /**
     * @param  array<string, mixed>  $workshop  its columns
     * @param  array<string, mixed>  $owner  columns of the first person
     *
     * @throws ValidationException where the link is none, was used, or is too old
     */
    public function __invoke(string $secret, array $workshop, array $owner): User
    {
        return DB::transaction(static function () use ($secret, $workshop, $owner): User {
            $setUp = FirstLink::query()->where('link_sha256', Link::digest($secret))->lockForUpdate()->first();
            match (true) {
                $setUp === null => throw NotLetIn::because(Workshop::query()->exists() ? 'set_up_used' : 'link_unknown'),
                $setUp->used_at !== null => throw NotLetIn::because('set_up_used'),
                $setUp->expires_at->isPast() => throw NotLetIn::because('set_up_expired'),
                default => $setUp->update(['used_at' => now()]),
            };

            return User::query()->create($owner + [
                'workshop_id' => Workshop::query()->create($workshop)->id, 'role' => Role::Owner, 'units' => $workshop['units'],
            ]);
        });
    }
}

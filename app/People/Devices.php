<?php

declare(strict_types=1);

namespace App\People;

use App\Http\Middleware\StaysSignedOut;
use App\Models\People\DeviceSession;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;

/** Where a person is signed in, and how that is ended from elsewhere. */
final class Devices
{
    /** @return string|null id of the session that a request comes with */
    public static function here(Request $request): ?string
    {
        return $request->hasSession() ? $request->session()->getId() : null;
    }

    /** @return Collection<int, DeviceSession> the newest first */
    public function of(User $user): Collection
    {
        $since = now()->subMinutes((int) config('session.lifetime'))->getTimestamp();

        return $user->sessions()->where('last_activity', '>=', $since)->orderByDesc('last_activity')->get();
    }

    /** @return bool whether there was one of that name */
    public function end(User $user, string $handle): bool
    {
        $session = $this->of($user)->first(static fn (DeviceSession $one): bool => $one->handle() === $handle);
        if ($session !== null) {
            $this->close($session);
        }

        return $session !== null;
    }

    /** @param  string|null  $but  id of the session that goes on */
    public function endAll(User $user, ?string $but = null): void
    {
        $this->of($user)->reject(static fn (DeviceSession $one): bool => $one->id === $but)->each($this->close(...));
    }

    private function close(DeviceSession $session): void
    {
        // A request under way would write it back.
        StaysSignedOut::note($session->id);
        $session->delete();
    }
}

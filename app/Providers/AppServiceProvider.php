<?php

declare(strict_types=1);

namespace App\Providers;

use App\Console\Commands\Rebuild;
use App\Http\WordLoader;
use App\Models\OwnCheck;
use App\Models\Planter;
use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Translation\FileLoader;
use Symfony\Component\HttpFoundation\Response;
use Ustrel\Core\Spec\CheckKey;

final class AppServiceProvider extends ServiceProvider
{
    /** Wrong passwords in a minute, from one address for one name. */
    private const WRONG_PASSWORDS_A_MINUTE = 5;

    /** Whose password is tried; a name that is none counts as one, too. */
    private static function named(Request $request): string
    {
        $email = $request->input('email');

        return is_string($email) ? mb_strtolower(trim($email)) : '';
    }

    public function register(): void
    {
        $this->app->extend('translation.loader', static fn (FileLoader $loader, Application $app): WordLoader => new WordLoader($app->make('files'), $loader->paths()));
    }

    public function boot(): void
    {
        Model::preventLazyLoading(config('app.env') !== 'production');
        Model::preventAccessingMissingAttributes();
        JsonResource::withoutWrapping();

        // What is drawn from the record is drawn by the rules of now, and only once all tables are as they are now.
        Event::listen(MigrationsEnded::class, static function (MigrationsEnded $ended): void {
            if ($ended->method === 'up' && Planter::query()->exists()) {
                Artisan::call(Rebuild::class);
            }
        });

        // What a shop calls its own checks is asked for only where one is named.
        app('translator')->handleMissingKeysUsing(static function (string $key): string {
            $user = preg_match('/^(?:check|measure)\.(own_\d+)$/', $key, $found) === 1 ? Auth::user() : null;
            $check = CheckKey::tryFrom($found[1] ?? '');

            return $user instanceof User && $check !== null ? OwnCheck::named($user->workshop_id, $check) ?? $key : $key;
        });

        RateLimiter::for('sign-in', static fn (Request $request): Limit => Limit::perMinute(self::WRONG_PASSWORDS_A_MINUTE)
            ->by(self::named($request).'|'.$request->ip())
            ->after(static fn (Response $response): bool => $response->getStatusCode() === 422));
    }
}

<?php

declare(strict_types=1);

namespace App\Providers;

use App\Console\Commands\RebuildCommand;
use App\Http\Api\Input;
use App\Http\WordLoader;
use App\Models\Aim;
use App\Models\Bench\Device;
use App\Models\Bench\DeviceToken;
use App\Models\Bench\Disc;
use App\Models\Bench\Meter;
use App\Models\Bench\SeedLot;
use App\Models\Manual;
use App\Models\OwnCheck;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\Supplier;
use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\SpecSheet;
use App\Models\User;
use App\Models\Walk\Pack;
use App\Models\Work\Joint;
use App\Models\Work\LubricationPoint;
use App\Models\Workshop;
use App\Policies\SpecSheetPolicy;
use App\Policies\WorkshopPolicy;
use Illuminate\Auth\Access\Response as GateResponse;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Database\Events\MigrationsEnded;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Illuminate\Translation\FileLoader;
use Laravel\Sanctum\Sanctum;
use Ustrel\Core\Spec\CheckKey;

final class AppServiceProvider extends ServiceProvider
{
    /** Writes of one person in a minute: more than hands can do, and all that a device brings that was long without a signal. */
    private const WRITES_A_MINUTE = 1800;

    private const NOT_YOURS = ['guest' => 'people.not_for_guest', 'helper' => 'people.not_for_helper'];

    /** What is watched or has a token, by the word that the database keeps of it. */
    private const KINDS = [
        'aim' => Aim::class,
        'disc' => Disc::class,
        'invitation' => Invitation::class,
        'joint' => Joint::class,
        'lubricationPoint' => LubricationPoint::class,
        'manual' => Manual::class,
        'meter' => Meter::class,
        'order' => Order::class,
        'ownCheck' => OwnCheck::class,
        'pack' => Pack::class,
        'partType' => PartType::class,
        'planter' => Planter::class,
        'seasonPlan' => SeasonPlan::class,
        'seedLot' => SeedLot::class,
        'specSheet' => SpecSheet::class,
        'stand' => Device::class,
        'supplier' => Supplier::class,
        'user' => User::class,
        'workshop' => Workshop::class,
    ];

    public function register(): void
    {
        // What a request says is checked and typed before a controller that asks for it is called.
        $this->app->beforeResolving(Input::class, static function (string $input, array $parameters, Application $app): void {
            $app->bindIf($input, static fn (Application $app): Input => $input::from($app->make('request')));
        });
        // Nothing is served from the disk but by its own route.
        config(['filesystems.disks.local.serve' => false]);
        self::sendMail();
        $public = config('ustrel.public_url');
        config(['session.secure' => is_string($public) && str_starts_with($public, 'https://') ? true : config('session.secure')]);
        $this->app->extend('translation.loader', static fn (FileLoader $loader, Application $app): WordLoader => new WordLoader($app->make('files'), $loader->paths()));
    }

    /** Where no mail server is set nothing is sent, and no link gets into a log: whoever makes one sees it, and passes it on. */
    private static function sendMail(): void
    {
        if (config('mail.default') === 'log') {
            config(['mail.default' => 'array']);
        }
        if (config('mail.from.address') === 'hello@example.com') {
            config(['mail.from' => ['address' => 'ustrel@'.(parse_url((string) config('app.url'), PHP_URL_HOST) ?: 'localhost'), 'name' => (string) config('app.name')]]);
        }
    }

    public function boot(): void
    {
        Model::preventLazyLoading(config('app.env') !== 'production');
        Model::preventAccessingMissingAttributes();
        Sanctum::usePersonalAccessTokenModel(DeviceToken::class);
        Relation::enforceMorphMap(self::KINDS);

        $public = config('ustrel.public_url');
        if (is_string($public)) {
            URL::useOrigin($public);
            URL::forceScheme((string) parse_url($public, PHP_URL_SCHEME));
        }

        // What is drawn from the record is drawn by the rules of now, and only once all tables are as they are now.
        Event::listen(MigrationsEnded::class, static function (MigrationsEnded $ended): void {
            if ($ended->method === 'up' && Planter::query()->exists()) {
                Artisan::call(RebuildCommand::class);
            }
        });

        // What a shop calls its own checks is asked for only where one is named.
        app('translator')->handleMissingKeysUsing(static function (string $key): string {
            $user = preg_match('/^(?:check|measure)\.(own_\d+)$/', $key, $found) === 1 ? Auth::user() : null;
            $check = CheckKey::tryFrom($found[1] ?? '');

            return $user instanceof User && $check !== null ? OwnCheck::named($user->workshop_id, $check) ?? $key : $key;
        });

        Route::bind('check', static fn (string $name): CheckKey => CheckKey::tryFrom($name) ?? abort(404));

        Gate::guessPolicyNamesUsing(static fn (string $model): string => $model === SpecSheet::class ? SpecSheetPolicy::class : WorkshopPolicy::class);
        foreach (Role::ABILITIES as $ability => $least) {
            Gate::define($ability, static fn (User $user): GateResponse => $user->role->mayAs($least)
                ? GateResponse::allow()
                : GateResponse::deny(__(self::NOT_YOURS[$user->role->value] ?? 'people.only_owner')));
        }

        RateLimiter::for('writes', static fn (Request $request): Limit => $request->isMethodSafe()
            ? Limit::none()
            : Limit::perMinute(self::WRITES_A_MINUTE)->by('writes|'.$request->user()?->getAuthIdentifier()));
    }
}

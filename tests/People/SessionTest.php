<?php

declare(strict_types=1);

use App\Http\Middleware\StaysSignedOut;
use App\Models\User;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

it('signs in, keeps settings and signs out', function (): void {
    $this->getJson('/api/me')->assertUnauthorized()
        ->assertJson(['message' => 'You are signed out. Sign in again; readings that wait on this device are kept.']);

    $this->postJson('/api/sign-in', ['email' => mb_strtoupper($this->technician->email), 'password' => 'secret-rows'])
        ->assertOk()->assertJson(['workshop' => 'Tollgate Row Works', 'units' => 'in', 'theme' => 'device']);
    $this->patchJson('/api/me', ['units' => 'mm', 'theme' => 'dark'])->assertOk()->assertJson(['units' => 'mm', 'theme' => 'dark']);
    $this->patchJson('/api/me', ['units' => 'furlongs'])->assertUnprocessable();
    expect(User::query()->find($this->technician->id)->units->value)->toBe('mm');

    $this->postJson('/api/sign-out')->assertNoContent();
    app('auth')->forgetGuards();
    $this->getJson('/api/yard')->assertUnauthorized();
});

it('stays signed out though a request under way writes its session back', function (): void {
    $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertOk();
    [$id, $underWay] = [session()->getId(), session()->all()];
    $this->withCredentials()->withCookie(session()->getName(), $id);
    app('auth')->forgetGuards();
    $this->getJson('/api/me')->assertOk();

    $this->postJson('/api/sign-out')->assertNoContent();
    session()->setId($id);
    session()->replace($underWay);
    session()->save();
    app('auth')->forgetGuards();
    $this->getJson('/api/me')->assertUnauthorized();

    // Its cookie stands in nobody\'s way either.
    $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertOk();
});

it('says that email and password do not go together, and after five tries to wait', function (): void {
    for ($try = 1; $try <= 5; $try++) {
        $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'guess'])
            ->assertUnprocessable()->assertJsonPath('errors.email.0', 'Wrong email or password.');
    }
    $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])
        ->assertTooManyRequests()->assertJsonPath('message', 'Too many tries. Wait a minute, then try again.');
});

it('does not count sign-ins that succeed', function (): void {
    for ($shift = 1; $shift <= 8; $shift++) {
        $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertOk();
        app('auth')->guard('web')->logout();
    }
});

it('leaves no session with the page, so that one got late takes nobody\'s sign-in back', function (): void {
    foreach (['/', '/sign-in', '/planters/1/board'] as $address) {
        expect($this->get($address)->assertOk()->headers->getCookies())->toBe([], $address);
    }
});

it('hands no cookie out to nobody, nor to who has signed out meanwhile: one got late takes nobody\'s sign-in back', function (): void {
    $this->withCredentials()->withCookie(session()->getName(), Str::random(40));
    expect($this->getJson('/api/yard')->assertUnauthorized()->headers->getCookies())->toBe([]);

    $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertOk();
    $id = session()->getId();
    $this->withCookie(session()->getName(), $id);
    app('auth')->forgetGuards();
    expect($this->getJson('/api/me')->assertOk()->headers->getCookies())->not->toBe([]);
    app('auth')->forgetGuards();
    // Signed out in another tab while this one is being answered.
    DB::listen(static fn (QueryExecuted $query) => str_contains($query->sql, '"workshops"') && StaysSignedOut::note($id));
    expect($this->getJson('/api/me')->assertOk()->headers->getCookies())->toBe([]);
});

it('says to whoever asks from elsewhere that nobody is let in like that', function (): void {
    $this->withHeader('Referer', 'https://elsewhere.example/')
        ->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertStatus(400)->assertJsonPath('message', __('people.no_session'));
});

<?php

declare(strict_types=1);

use App\Models\Parts\Supplier;
use App\Models\People\Activity;
use App\Models\People\Attempt;
use App\Models\People\DeviceSession;
use App\Models\People\Invitation;
use App\Models\People\Role;
use App\Models\User;
use App\Models\Workshop;
use App\People\GoodPassword;
use App\People\Mail\InvitationMail;
use App\People\Mail\ResetMail;
use App\People\SetUpWorkshop;
use App\Providers\AppServiceProvider;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;

const GOOD = 'wet gravel under the hitch';

/** What stands behind the # of a link. */
function secretOf(string $link): string
{
    return Str::after($link, '#');
}

it('sets an installation up once, by the address that the console prints', function (): void {
    Activity::query()->delete();
    User::query()->delete();
    Workshop::query()->delete();
    $this->getJson('/api/welcome')->assertExactJson(['is_set_up' => false, 'is_demo' => false]);
    $first = app(SetUpWorkshop::class)->link();
    $link = app(SetUpWorkshop::class)->link();
    $form = ['link' => secretOf($link->address), 'workshop' => 'Ardle Row Works', 'time_zone' => 'Europe/London', 'currency' => 'GBP', 'units' => 'mm', 'name' => 'Teasel Brook', 'email' => ' Teasel@Ardle.example ', 'password' => GOOD];

    foreach (['link' => 'x', 'workshop' => '', 'time_zone' => 'Mars/Base', 'currency' => 'QQQ', 'units' => 'ell', 'name' => '', 'email' => 'teasel', 'password' => 'short'] as $field => $bad) {
        $this->postJson('/api/set-up', [$field => $bad] + $form)->assertUnprocessable()->assertJsonValidationErrors($field);
    }
    $this->postJson('/api/set-up', ['password' => 'Ardle Row Works 1'] + $form)->assertJsonPath('errors.password.0', __('people.password_common'));
    // Printed anew, it takes the place of the one before.
    $this->postJson('/api/set-up', ['link' => secretOf($first->address)] + $form)->assertJsonPath('errors.link.0', __('people.link_unknown'));
    expect(Workshop::query()->count())->toBe(0);

    $this->postJson('/api/set-up', $form)->assertCreated()->assertJson(['name' => 'Teasel Brook', 'email' => 'teasel@ardle.example', 'role' => 'owner', 'workshop' => 'Ardle Row Works', 'currency' => 'GBP', 'units' => 'mm', 'time_zone' => 'Europe/London', 'is_demo' => false]);
    $this->postJson('/api/set-up', ['email' => 'other@ardle.example'] + $form)->assertJsonPath('errors.link.0', 'This workshop is set up already. Sign in.');
    expect(app(SetUpWorkshop::class)->link())->toBeNull()->and(User::query()->count())->toBe(1);
});

it('does not take a set-up address that is a day old', function (): void {
    Activity::query()->delete();
    User::query()->delete();
    Workshop::query()->delete();
    $link = app(SetUpWorkshop::class)->link();
    $this->travel(25)->hours();
    $this->postJson('/api/set-up', ['link' => secretOf($link->address), 'workshop' => 'A', 'time_zone' => 'UTC', 'currency' => 'EUR', 'units' => 'mm', 'name' => 'B', 'email' => 'b@example.test', 'password' => GOOD])
        ->assertJsonPath('errors.link.0', 'This link has expired. Start Ustrel again to get a new one.');
});

it('invites by a link that is good once, for whom it is meant', function (): void {
    Mail::fake();
    $this->actingAs($this->technician);
    $link = secretOf($this->postJson('/api/people/invitations', ['role' => 'helper', 'email' => 'Pim@Tollgate.example'])->assertCreated()->json('link'));
    Mail::assertSent(InvitationMail::class, fn (InvitationMail $mail): bool => $mail->hasTo('pim@tollgate.example'));
    $this->postJson('/api/people/invitations', ['role' => 'guest'])->assertUnprocessable();
    expect($this->getJson('/api/people')->json('invitations'))->toHaveCount(1);

    $this->signedOut()->postJson('/api/invitations/look', ['link' => $link])->assertOk()->assertExactJson(['workshop' => 'Tollgate Row Works', 'role' => 'helper', 'email' => 'pim@tollgate.example', 'by' => 'Wren Ashdown']);
    $form = ['link' => $link, 'name' => 'Pim Larkspur', 'email' => 'PIM@tollgate.example', 'password' => GOOD];
    $this->postJson('/api/invitations/accept', ['email' => 'someone@else.example'] + $form)->assertJsonPath('errors.email.0', __('people.invitation_other'));
    $this->postJson('/api/invitations/accept', $form)->assertCreated()->assertJson(['name' => 'Pim Larkspur', 'role' => 'helper', 'workshop' => 'Tollgate Row Works']);
    $this->postJson('/api/invitations/accept', ['email' => 'pim2@tollgate.example'] + $form)->assertJsonPath('errors.link.0', 'This invitation was already used. Sign in, or ask for a new one.');

    $this->switchTo($this->technician);
    expect($this->getJson('/api/people')->json('people.*.name'))->toContain('Pim Larkspur')
        ->and($this->getJson('/api/people')->json('invitations'))->toBe([]);
    $this->postJson('/api/people/invitations', ['role' => 'helper', 'email' => 'pim@tollgate.example'])->assertJsonPath('errors.email.0', __('people.email_taken'));
});

it('takes no invitation that was taken back or is too old, and no address that is somebody\'s', function (): void {
    $this->actingAs($this->technician);
    $invite = fn (): string => secretOf($this->switchTo($this->technician)->postJson('/api/people/invitations', ['role' => 'technician'])->assertCreated()->json('link'));
    $form = fn (string $link): array => ['link' => $link, 'name' => 'Pim', 'email' => 'pim@tollgate.example', 'password' => GOOD];

    $this->postJson('/api/invitations/accept', ['email' => $this->technician->email] + $form($invite()))->assertJsonPath('errors.email.0', __('people.email_taken'));
    $back = $invite();
    $id = Invitation::query()->latest('id')->value('id');
    $this->deleteJson("/api/people/invitations/{$id}")->assertNoContent();
    $this->postJson('/api/invitations/accept', $form($back))->assertJsonPath('errors.link.0', 'This invitation was canceled. Ask for a new one.');
    $old = $invite();
    $this->travel(8)->days();
    $this->postJson('/api/invitations/look', ['link' => $old])->assertJsonPath('errors.link.0', 'This invitation has expired. Ask for a new one.');
    $this->postJson('/api/invitations/accept', $form($old))->assertUnprocessable();
    expect(User::query()->where('name', 'Pim')->exists())->toBeFalse();
});

it('counts no owner who is locked out as the one that a workshop keeps', function (): void {
    $this->actingAs($this->technician);
    $other = User::factory()->for($this->technician->workshop)->create(['role' => Role::Owner])->refresh();
    $this->patchJson("/api/people/{$other->id}", ['is_active' => false])->assertOk();
    $this->patchJson("/api/people/{$this->technician->id}", ['role' => 'technician'])->assertUnprocessable()->assertJsonPath('errors.role.0', __('people.last_owner'));
    $this->patchJson("/api/people/{$this->technician->id}", ['is_active' => false])->assertUnprocessable();
    $this->patchJson("/api/people/{$other->id}", ['is_active' => true])->assertOk();
    $this->patchJson("/api/people/{$this->technician->id}", ['role' => 'technician'])->assertOk();
});

it('keeps an owner, and the name of who has left', function (): void {
    $this->actingAs($this->technician);
    $me = $this->technician->id;
    $this->patchJson("/api/people/{$me}", ['role' => 'technician'])->assertJsonPath('errors.role.0', 'A workshop needs an owner. Make someone else an owner first.');
    $this->patchJson("/api/people/{$me}", ['is_active' => false])->assertJsonPath('errors.is_active.0', __('people.last_owner'));
    $other = User::factory()->for($this->technician->workshop)->create(['role' => Role::Technician, 'name' => 'Idris Vale'])->refresh();
    $this->patchJson("/api/people/{$other->id}", ['role' => 'owner'])->assertOk()->assertJson(['role' => 'owner']);
    $this->patchJson("/api/people/{$me}", ['role' => 'helper'])->assertOk();
    $this->switchTo($this->technician->refresh())->getJson('/api/people')->assertForbidden()->assertJsonPath('message', __('people.not_for_helper'));

    $this->switchTo($other->refresh());
    $this->patchJson("/api/people/{$me}", ['is_active' => false])->assertOk()->assertJson(['is_active' => false, 'name' => 'Wren Ashdown']);
    $this->signedOut()->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertJsonPath('errors.email.0', __('error.wrong_password'));
    $this->switchTo($this->technician->refresh())->getJson('/api/me')->assertUnauthorized();
    $this->switchTo($other)->patchJson("/api/people/{$me}", ['is_active' => true])->assertOk();
    $this->signedOut()->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertOk();
});

it('gives a new password by a link, from the owner or by mail, once', function (): void {
    Mail::fake();
    $idris = User::factory()->for($this->technician->workshop)->create(['role' => Role::Technician])->refresh();
    DeviceSession::query()->create(['id' => 'elsewhere', 'user_id' => $idris->id, 'payload' => '', 'last_activity' => now()->getTimestamp()]);
    $link = secretOf($this->actingAs($this->technician)->postJson("/api/people/{$idris->id}/reset-link")->assertCreated()->json('link'));
    $this->signedOut()->postJson('/api/password/reset', ['link' => $link, 'password' => 'password1234'])->assertJsonValidationErrors('password');
    $this->postJson('/api/password/reset', ['link' => $link, 'password' => GOOD])->assertOk()->assertJson(['id' => $idris->id]);
    expect(DeviceSession::query()->where('id', 'elsewhere')->exists())->toBeFalse();
    $this->postJson('/api/password/reset', ['link' => $link, 'password' => GOOD.' again'])->assertJsonPath('errors.link.0', __('people.reset_bad'));
    $this->postJson('/api/sign-in', ['email' => $idris->email, 'password' => GOOD])->assertOk();

    // Who has no account learns nothing.
    $this->postJson('/api/password/forgot', ['email' => 'nobody@example.test'])->assertNoContent();
    Mail::assertNothingSent();
    $this->withHeader('Host', 'evil.example')->postJson('/api/password/forgot', ['email' => $this->technician->email])->assertNoContent();
    Mail::assertSent(ResetMail::class, function (ResetMail $mail): bool {
        $html = (string) $mail->build()->render();

        return str_contains($html, config('app.url').'/reset#') && ! str_contains($html, 'evil.example');
    });
});

it('changes a password for who knows the old one, and ends the sessions elsewhere', function (): void {
    $this->actingAs($this->technician);
    DeviceSession::query()->create(['id' => 'elsewhere', 'user_id' => $this->technician->id, 'user_agent' => 'Tablet', 'ip_address' => '10.0.0.7', 'payload' => '', 'last_activity' => now()->getTimestamp()]);
    expect($this->getJson('/api/me/devices')->assertOk()->json('0'))->toMatchArray(['agent' => 'Tablet', 'ip' => '10.0.0.7', 'is_this' => false])
        ->and($this->getJson('/api/me/devices')->content())->not->toContain('elsewhere');
    $this->putJson('/api/me/password', ['current' => 'wrong', 'password' => GOOD])->assertJsonPath('errors.current.0', __('people.password_wrong'));
    $this->putJson('/api/me/password', ['current' => 'secret-rows', 'password' => 'ashdown ashdown'])->assertJsonValidationErrors('password');
    $this->putJson('/api/me/password', ['current' => 'secret-rows', 'password' => GOOD])->assertNoContent();
    expect(DeviceSession::query()->count())->toBe(0);
    $this->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => GOOD])->assertOk();
});

it('gives a session a new id with a new password', function (): void {
    $this->actingAs($this->technician)->getJson('/api/me')->assertOk();
    $before = session()->getId();
    $this->putJson('/api/me/password', ['current' => 'secret-rows', 'password' => GOOD])->assertNoContent();
    expect(session()->getId())->not->toBe($before);
    $this->getJson('/api/me')->assertOk();
});

it('takes a link that is no text for one that is not good', function (string $secret): void {
    $this->postJson('/api/password/reset', ['link' => $secret, 'password' => GOOD])->assertUnprocessable()->assertJsonPath('errors.link.0', __('people.reset_bad'));
})->with(['token.'.rtrim(base64_encode("\xff\xfe@example.test"), '='), 'token.'.rtrim(base64_encode("a\0b@example.test"), '='), 'token.%%%', 'token', '.']);

it('begins its links as the installation is called, not as somebody says', function (string $host, bool $isOurs): void {
    $this->actingAs($this->technician);
    foreach (["/api/people/{$this->technician->id}/reset-link" => [], '/api/people/invitations' => ['role' => 'helper']] as $path => $with) {
        $link = $this->postJson("http://{$host}{$path}", $with)->assertCreated()->json('link');
        expect($link)->toStartWith($isOurs ? "http://{$host}/" : rtrim((string) config('app.url'), '/').'/');
    }
})->with([['evil.example', false], ['localhost.evil.example', false], ['192.168.4.7', true], [strtolower((string) gethostname()), true]]);

it('invites thirty an hour', function (): void {
    $this->actingAs($this->technician);
    for ($turn = 0; $turn < 30; $turn++) {
        $this->postJson('/api/people/invitations', ['role' => 'helper'])->assertCreated();
    }
    $this->postJson('/api/people/invitations', ['role' => 'helper'])->assertTooManyRequests();
    $this->travel(61)->minutes();
    expect(Invitation::query()->count())->toBe(30);
});

it('writes no link into a log where no mail server is set', function (): void {
    config(['mail.default' => 'log', 'mail.from.address' => 'hello@example.com', 'app.url' => 'http://shop.local:8080']);
    (new AppServiceProvider(app()))->register();
    expect(config('mail.default'))->toBe('array')->and(config('mail.from.address'))->toBe('ustrel@shop.local');
});

it('lets one person hold two workers with what takes long, and no more', function (): void {
    $supplier = Supplier::query()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Brook', 'prices' => [], 'answers' => [], 'counter' => null]);
    $this->actingAs($this->technician);
    $held = array_map(fn (int $place) => Cache::lock("few-at-once|{$this->technician->id}|{$place}", 60), [1, 2]);
    $held[0]->get();
    $this->postJson("/api/suppliers/{$supplier->id}/ask")->assertUnprocessable();
    $held[1]->get();
    $this->postJson("/api/suppliers/{$supplier->id}/ask")->assertTooManyRequests()->assertHeader('Retry-After', '2');
    // Somebody else of the shop goes on.
    $other = User::factory()->for($this->technician->workshop)->create(['role' => Role::Technician])->refresh();
    $this->switchTo($other)->postJson("/api/suppliers/{$supplier->id}/ask")->assertUnprocessable();
    array_map(static fn ($lock) => $lock->release(), $held);
    $this->switchTo($this->technician)->postJson("/api/suppliers/{$supplier->id}/ask")->assertUnprocessable();
});

it('takes long passwords and refuses those that many choose', function (string $password, bool $good): void {
    $check = Validator::make(['p' => $password], ['p' => new GoodPassword(['Wren Ashdown', 'Tollgate Row Works', 'wren'])]);
    expect($check->passes())->toBe($good, $password);
})->with([
    ['wet gravel under the hitch', true], ['kelp-17-ladle-09', true], ['schöne nasse Furche', true], ['4829 1175 3364', true], ['Tr0ub4dor&3xyz', true],
    ['elevenchars', false], ['password1234', false], ['P@ssw0rd12345', false], ['qwertyuiop12', false], ['123456789012', false], ['aaaaaaaaaaaaaaaa', false],
    ['abcabcabcabcabc', false], ['Wren-Ashdown-1987', false], ['TollgateWorks1', false], ['letmeinletmein', false], [str_repeat('long words ', 7), false], ['zxcvbnmasdfghjkl', false],
]);

it('counts tries so that one address has one count, however it is spelled', function (): void {
    $email = $this->technician->email;
    foreach ([$email, mb_strtoupper($email), " {$email} ", strtr($email, ['e' => "\u{FF45}"]), $email] as $spelling) {
        $this->postJson('/api/sign-in', ['email' => $spelling, 'password' => 'guess'])->assertUnprocessable();
    }
    $this->postJson('/api/sign-in', ['email' => $email, 'password' => 'secret-rows'])->assertTooManyRequests();
    expect(Attempt::query()->where('key', "sign-in|{$email}|127.0.0.1")->value('count'))->toBe(6);
});

it('does not let wrong tries elsewhere lock somebody out of a device of their own', function (): void {
    Illuminate\Support\Sleep::fake();
    $sign = fn (string $password, string $ip) => $this->withServerVariables(['REMOTE_ADDR' => $ip])->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => $password]);
    $cookie = $sign('secret-rows', '10.0.0.7')->assertOk()->getCookie('ustrel_device');
    for ($try = 0; $try < 30; $try++) {
        $sign('guess', "203.0.113.{$try}");
    }
    // From nowhere known it is refused for a while, even with the right password; the known device is let in.
    $sign('secret-rows', '203.0.113.200')->assertTooManyRequests();
    $this->withCredentials()->withCookie('ustrel_device', $cookie->getValue());
    $sign('secret-rows', '203.0.113.201')->assertOk();
    for ($try = 1; $try <= 7; $try++) {
        $sign('guess', '10.0.0.7')->assertUnprocessable();
    }
    Illuminate\Support\Sleep::assertSleptTimes(2);
    $sign('secret-rows', '10.0.0.7')->assertOk();
});

it('leaves no session behind where somebody only looks', function (): void {
    config(['session.driver' => 'database']);
    $this->getJson('/api/me')->assertUnauthorized();
    expect(DeviceSession::query()->count())->toBe(0);
});

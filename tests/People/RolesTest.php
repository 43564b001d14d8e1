<?php

declare(strict_types=1);

use App\Models\Bench\Device;
use App\Models\People\Role;
use App\Models\User;
use App\People\GuestLinks;
use App\People\Invite;
use Illuminate\Support\Str;
use Tests\ApiRoutes;

/** What each role may call, as a shop would have it: everything else is refused to it. */
const GUEST_MAY = [
    'POST api/sign-out', 'GET api/me', 'PATCH api/me', 'GET api/me/devices', 'GET api/yard', 'GET api/find',
    'GET api/planters/{planter}', 'GET api/planters/{planter}/board', 'GET api/planters/{planter}/face', 'GET api/planters/{planter}/history', 'GET api/planters/{planter}/rows/{row}',
    'GET api/planters/{planter}/toolbar-level', 'GET api/planters/{planter}/blank.pdf', 'GET api/planters/{planter}/ledger', 'GET api/planters/{planter}/forecast',
    'GET api/planters/{planter}/wear-chart', 'GET api/planters/{planter}/contact', 'GET api/planters/{planter}/acres', 'GET api/planters/{planter}/acres/log.csv', 'GET api/planters/{planter}/walks',
    'GET api/photos/{photo}', 'GET api/photos/{photo}/thumbnail', 'GET api/walks/{walk}', 'GET api/walks/{walk}/depth-index', 'GET api/walks/{walk}/export.csv', 'GET api/walks/{walk}/sheet.pdf',
];
const HELPER_MAY = [
    ...GUEST_MAY,
    'GET api/today', 'PUT api/me/password', 'DELETE api/me/devices', 'DELETE api/me/devices/{device}', 'GET api/spec-sheets', 'GET api/spec-sheets/{specSheet}', 'GET api/spec-sheets/{specSheet}/manuals', 'GET api/planters/{planter}/manuals', 'GET api/planters/{planter}/joints', 'PUT api/planters/{planter}/joints/{step}', 'GET api/manuals/{manual}/file', 'PUT api/manuals/{manual}', 'GET api/workshop', 'GET api/part-types', 'GET api/part-types/{partType}/lives', 'GET api/packs', 'GET api/store', 'POST api/store/moves', 'GET api/suppliers', 'GET api/seed', 'POST api/seed/moves', 'GET api/meters', 'GET api/planters/{planter}/emergence', 'POST api/planters/{planter}/emergence', 'POST api/planters/{planter}/diagnosis', 'GET api/planters/{planter}/first-pass', 'POST api/planters/{planter}/first-pass/digs', 'POST api/planters/{planter}/first-pass/sign-offs', 'GET api/planters/{planter}/settings', 'GET api/planters/{planter}/settings/for/{other}', 'GET api/aims', 'GET api/lubrication', 'POST api/planters/{planter}/settings', 'GET api/planters/{planter}/settings/sheet.pdf', 'GET api/planters/{planter}/settings/sheet.csv', 'GET api/planters/{planter}/calculators', 'POST api/planters/{planter}/calculators/{calculation}', 'POST api/meters/moves', 'POST api/planters/{planter}/bench/report', 'POST api/planters/{planter}/bench/counts', 'GET api/planters/{planter}/bench/compare', 'POST api/suppliers/{supplier}/ask', 'GET api/orders', 'POST api/orders/{order}/receive', 'GET api/orders/{order}/order.pdf', 'GET api/orders/{order}/order.csv',
    'GET api/planters/{planter}/season', 'GET api/planters/{planter}/season/speed', 'GET api/planters/{planter}/season/fields.csv', 'GET api/planters/{planter}/rows.csv', 'GET api/planters/{planter}/season/countdown.ics',
    'GET api/planters/{planter}/watch', 'POST api/planters/{planter}/watch', 'GET api/planters/{planter}/watch/now', 'GET api/planters/{planter}/watch/now/stream', 'GET api/planters/{planter}/bench/runs/now/stream', 'POST api/planters/{planter}/watch/{watchRun}/practice', 'POST api/planters/{planter}/watch/{watchRun}/end', 'POST api/planters/{planter}/watch/{watchRun}/entries',
    'GET api/planters/{planter}/bench', 'POST api/planters/{planter}/bench', 'GET api/planters/{planter}/bench/advice', 'GET api/planters/{planter}/bench/start', 'GET api/planters/{planter}/bench/report.pdf', 'POST api/planters/{planter}/bench/runs', 'GET api/planters/{planter}/bench/runs/now', 'POST api/planters/{planter}/bench/runs/{standRun}/practice', 'POST api/planters/{planter}/bench/runs/{standRun}/stop', 'GET api/planters/{planter}/bench/runs/{standRun}/times.csv', 'GET api/planters/{planter}/work', 'GET api/planters/{planter}/work/hands', 'POST api/planters/{planter}/work/hands', 'POST api/planters/{planter}/work/own', 'GET api/planters/{planter}/work/rain', 'GET api/planters/{planter}/work/plan.csv', 'GET api/planters/{planter}/work/plan.ics', 'GET api/planters/{planter}/work/cards.pdf', 'GET api/planters/{planter}/work/ready.pdf', 'GET api/planters/{planter}/work/season',
    'GET api/planters/{planter}/decide', 'GET api/planters/{planter}/policies', 'GET api/planters/{planter}/guide', 'POST api/planters/{planter}/ledger', 'POST api/planters/{planter}/acres', 'POST api/planters/{planter}/walks', 'PATCH api/walks/{walk}',
    'POST api/walks/{walk}/finish', 'POST api/walks/{walk}/reopen', 'POST api/walks/{walk}/readings', 'GET api/walks/{walk}/news', 'POST api/walks/{walk}/notes', 'POST api/walks/{walk}/photos',
];
const OWNER_ALONE_MAY = [
    'GET api/activity', 'GET api/backups', 'GET api/workshop/parcel', 'GET api/people', 'POST api/people/invitations', 'DELETE api/people/invitations/{invitation}', 'PATCH api/people/{person}', 'POST api/people/{person}/reset-link', 'POST api/planters/{planter}/guests',
];

it('lets each role do what is its own on every route, and nothing else', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    $ids = $this->everything($planter, $walk);
    $workshop = $this->technician->workshop;
    $guest = app(GuestLinks::class)->make($this->technician, $planter, 'Hollis Pell', 30)[0]->refresh();
    $of = fn (Role $role): User => User::factory()->for($workshop)->create(['role' => $role])->refresh();
    $people = ['guest' => $guest, 'helper' => $of(Role::Helper), 'technician' => $of(Role::Technician), 'owner' => $this->technician];

    $wrong = [];
    foreach (ApiRoutes::all() as $name => $route) {
        if (in_array($name, [...ApiRoutes::OPEN, ...ApiRoutes::OF_STANDS], true)) {
            continue;
        }
        $address = preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => (string) $ids[$found[1]], $route->uri());
        foreach ($people as $role => $person) {
            $may = match ($role) {
                'guest' => in_array($name, GUEST_MAY, true),
                'helper' => in_array($name, HELPER_MAY, true),
                'technician' => ! in_array($name, OWNER_ALONE_MAY, true),
                'owner' => true,
            };
            $status = $this->switchTo($person)->json($route->methods()[0], "/{$address}")->getStatusCode();
            if (($status === 403) === $may || $status === 401 || $status >= 500) {
                $wrong[] = "{$role} {$name}: {$status}";
            }
            if ($name === 'DELETE api/stands/{stand}') {
                $ids['stand'] = Device::query()->create(['workshop_id' => $workshop->id, 'name' => 'Bench 1', 'user_id' => $this->technician->id, 'made_at' => now()])->id;
            }
            if ($name === 'DELETE api/people/invitations/{invitation}') {
                $ids['invitation'] = app(Invite::class)($this->technician, Role::Helper, null)[0]->id;
            }
        }
    }
    expect($wrong)->toBe([])
        // The lists name routes that there are.
        ->and(array_diff([...HELPER_MAY, ...OWNER_ALONE_MAY], array_keys(ApiRoutes::all())))->toBe([]);
});

it('shows a guest one planter without what it cost, and only while the link holds', function (): void {
    $planter = $this->planter();
    $other = $this->planter(['name' => 'Hask Hill']);
    $this->record($planter, $this->fitting(1, '2025-03-01', ['cost' => 38.5]))->assertCreated();
    $made = $this->postJson("/api/planters/{$planter->id}/guests", ['name' => 'Hollis Pell', 'days' => 30])->assertCreated();
    $this->postJson("/api/planters/{$planter->id}/guests", ['name' => 'Hollis Pell', 'days' => 0])->assertUnprocessable()->assertJsonPath('errors.days.0', 'Give from 1 to 400 days.');
    $secret = Str::after($made->json('link'), '#');

    app('auth')->forgetGuards();
    $this->postJson('/api/guest', ['link' => $secret])->assertOk()->assertJson(['role' => 'guest', 'planter' => $planter->id, 'email' => null]);
    expect($this->getJson('/api/yard')->assertOk()->json('*.id'))->toBe([$planter->id])
        ->and($this->getJson("/api/planters/{$planter->id}/ledger")->assertOk()->json('fitted.0.cost'))->toBeNull();
    $this->getJson("/api/planters/{$other->id}/board")->assertNotFound();

    $guest = User::query()->where('role', 'guest')->sole();
    $this->switchTo($this->technician);
    expect($this->getJson('/api/people')->assertOk()->json('guests.0'))->toMatchArray(['name' => 'Hollis Pell', 'planter' => $planter->name])
        ->and($this->getJson("/api/planters/{$planter->id}/ledger")->json('fitted.0.cost'))->toBe(38.5);
    $this->patchJson("/api/people/{$guest->id}", ['is_active' => false])->assertOk();
    $this->switchTo($guest->refresh())->getJson('/api/yard')->assertUnauthorized();
    $this->postJson('/api/guest', ['link' => $secret])->assertUnprocessable()->assertJsonPath('errors.link.0', 'This link has ended. Ask the workshop for a new one.');
    $this->postJson('/api/guest', ['link' => 'nonsense'])->assertUnprocessable();
});

it('ends a guest link by itself', function (): void {
    $planter = $this->planter();
    [$guest, $link] = app(GuestLinks::class)->make($this->technician, $planter, 'Hollis Pell', 2);
    $this->travel(3)->days();
    $this->postJson('/api/guest', ['link' => Str::after($link->address, '#')])->assertUnprocessable();
    $this->switchTo($guest->refresh())->getJson('/api/yard')->assertUnauthorized();
});

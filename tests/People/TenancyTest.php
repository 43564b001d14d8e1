<?php

declare(strict_types=1);

use App\Spec\CopySpecSheet;
use Tests\ApiRoutes;

/** Routes that are about the caller or the caller's own workshop, with nothing in the address to steal. */
const OWN_ROUTES = [
    'POST api/sign-out', 'GET api/me', 'PATCH api/me', 'GET api/yard', 'GET api/today', 'GET api/find', 'GET api/first-day', 'PUT api/first-day', 'POST api/sample-planter', 'DELETE api/sample-planter', 'GET api/spec-sheets', 'POST api/manuals', 'POST api/planters', 'GET api/workshop', 'PATCH api/workshop', 'PUT api/workshop/yield-curve', 'GET api/part-types', 'POST api/part-types', 'GET api/packs', 'POST api/packs', 'GET api/store', 'POST api/store/moves', 'GET api/suppliers', 'POST api/suppliers', 'GET api/orders', 'POST api/orders', 'POST api/orders/draft',
    'PUT api/me/password', 'GET api/me/devices', 'DELETE api/me/devices', 'DELETE api/me/devices/{device}', 'GET api/people', 'GET api/activity', 'GET api/backups', 'GET api/workshop/parcel', 'POST api/people/invitations', 'GET api/stands', 'POST api/stands', 'GET api/seed', 'GET api/aims', 'POST api/aims', 'GET api/lubrication', 'PUT api/lubrication/{point}', 'GET api/meters', 'POST api/meters', 'POST api/meters/moves', 'POST api/seed/lots', 'POST api/seed/discs', 'POST api/seed/moves',
];

it('knows every route: a new one has to be placed here or name what it is about', function (): void {
    foreach (ApiRoutes::all() as $name => $route) {
        $placed = in_array($name, [...ApiRoutes::OPEN, ...ApiRoutes::OF_STANDS, ...OWN_ROUTES], true) || $route->parameterNames() !== [];
        expect($placed)->toBeTrue("{$name} is neither open, nor the caller's own, nor about something that has an owner");
    }
    expect(count(ApiRoutes::all()))->toBeGreaterThan(15);
});

it('asks everybody to sign in', function (): void {
    foreach (ApiRoutes::all() as $name => $route) {
        if (! in_array($name, ApiRoutes::OPEN, true)) {
            $address = preg_replace('/\{\w+\}/', '1', $route->uri());
            $status = $this->json($route->methods()[0], "/{$address}")->getStatusCode();
            expect($status)->toBe(401, $name);
        }
    }
});

it('answers the neighbour with 404 on every route about something', function (): void {
    $planter = $this->planter();
    $walk = $this->openWalk($planter);
    $ids = $this->everything($planter, $walk);
    $neighbour = $this->technicianOf('Lowmoor Planter Services');

    $tried = 0;
    foreach (ApiRoutes::all() as $name => $route) {
        if ($route->parameterNames() === [] || in_array($name, [...OWN_ROUTES, ...ApiRoutes::OF_STANDS], true)) {
            continue;
        }
        $address = preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => (string) $ids[$found[1]], $route->uri());
        $answer = $this->switchTo($neighbour)->json($route->methods()[0], "/{$address}");
        expect($answer->getStatusCode())->toBe(404, $name)
            ->and($answer->json('message'))->toBe('Your workshop has nothing by that name.');

        // The owner does get through to it, so that the 404 is the neighbour's alone.
        $owner = $this->switchTo($this->technician)->json($route->methods()[0], "/{$address}");
        expect($owner->getStatusCode())->not->toBe(404, $name);
        $tried++;
    }
    expect($tried)->toBeGreaterThan(10);
});

it('lists nothing of the neighbour', function (): void {
    $this->planter(['name' => 'Quill Bottom']);
    app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $this->actingAs($this->technicianOf('Lowmoor Planter Services'));

    $this->getJson('/api/yard')->assertOk()->assertExactJson([]);
    expect($this->getJson('/api/spec-sheets')->json())->toHaveCount(4);
});

it('does not take a neighbour\'s spec sheet for a planter', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $this->actingAs($this->technicianOf('Lowmoor Planter Services'))
        ->postJson('/api/planters', ['farm' => 'A', 'name' => 'B', 'row_count' => 4, 'spacing' => '30', 'spec_sheet_id' => $sheet->id])
        ->assertUnprocessable()->assertJsonValidationErrors('spec_sheet_id');
});

it('does not find what is not even an id', function (string $address): void {
    $this->actingAs($this->technician)->getJson($address)->assertNotFound();
})->with(['/api/walks/nonsense', '/api/planters/nonsense', '/api/planters/99999999999999999999999/board', '/api/walks/0198b0c0-0000-7000-8000-000000000000']);

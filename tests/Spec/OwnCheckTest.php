<?php

declare(strict_types=1);

use App\Models\OwnCheck;
use App\Models\SpecSheet;

beforeEach(function (): void {
    $this->actingAs($this->technician);
    $this->own = fn (): SpecSheet => SpecSheet::query()->findOrFail($this->postJson("/api/spec-sheets/{$this->typicalSheet()->id}/copies")->assertCreated()->json('id'));
    $this->sheet = ($this->own)();
    $this->add = fn (array $check, ?SpecSheet $sheet = null) => $this->postJson('/api/spec-sheets/'.($sheet ?? $this->sheet)->id.'/own-checks', $check + ['name' => 'Hose clamp', 'station' => 'fertilizer_opener', 'kind' => 'condition']);
});

it('asks for a check of the shop\'s own on an open walk, judges and keeps it, and names it on every way out', function (): void {
    $planter = $this->planter(['spec_sheet_id' => $this->sheet->id]);
    $walk = $this->openWalk($planter, null);
    $made = ($this->add)(['name' => 'Spring length, cm', 'station' => 'parallel_arms', 'kind' => 'at_least', 'limit' => '30'])->assertCreated()->json('checks');
    expect(collect($made)->firstWhere('key', 'own_1'))->toMatchArray(['station' => 'parallel_arms', 'kind' => 'setting', 'own' => ['name' => 'Spring length, cm', 'how' => '']]);

    $this->send($walk, $this->reading(2, '29.5', ['check' => 'own_1', 'side' => 'centre']))->assertOk();
    $cell = $this->cellAt($this->getJson("/api/planters/{$planter->id}/board")->json('cells'), 2, 'own_1', 'centre');
    expect($cell['now'])->toMatchArray(['value' => 29.5, 'verdict' => 'change'])
        ->and($this->get("/api/walks/{$walk->id}/export.csv")->streamedContent())->toContain('parallel_arms,own_1,centre,recorded,29.5');
    // A state where a number is asked for: refused in its own name.
    $this->send($walk, $this->state(3, 'own_1', 'sound', ['side' => 'centre']))->assertOk()->assertJsonPath('receipts.0.outcome', 'refused')->assertJsonPath('receipts.0.message', fn (string $said): bool => str_contains($said, 'Spring length, cm'));

    // Other figures, then off the sheet and on again: what was read is there again, under the same key.
    $this->deleteJson("/api/spec-sheets/{$this->sheet->id}/own-checks/own_1")->assertOk();
    $this->deleteJson("/api/spec-sheets/{$this->sheet->id}/own-checks/own_1")->assertOk();
    expect(array_column($this->getJson("/api/planters/{$planter->id}/board")->json('checks'), 'key'))->not->toContain('own_1')
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
    ($this->add)(['name' => 'spring LENGTH, cm', 'station' => 'parallel_arms', 'kind' => 'at_least', 'limit' => '29'])->assertCreated();
    $cell = $this->cellAt($this->getJson("/api/planters/{$planter->id}/board")->json('cells'), 2, 'own_1', 'centre');
    expect($cell['now'])->toMatchArray(['value' => 29.5, 'verdict' => 'sound'])
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('is the same check on whatever sheet, and stays when a sheet goes back to typical', function (): void {
    ($this->add)([])->assertCreated();
    $second = ($this->own)();
    ($this->add)(['name' => 'Chain guard'], $second)->assertCreated();
    ($this->add)([], $second)->assertCreated();
    $keys = fn (SpecSheet $sheet): array => array_values(array_filter(array_keys($sheet->refresh()->sheet['checks']), static fn (string $key): bool => str_starts_with($key, 'own_')));
    expect($keys($this->sheet))->toBe(['own_1'])->and($keys($second))->toEqualCanonicalizing(['own_1', 'own_2']);
    $this->postJson("/api/spec-sheets/{$second->id}/reset")->assertOk();
    expect($keys($second))->toEqualCanonicalizing(['own_1', 'own_2']);
});

it('refuses what cannot be asked, in words, and keeps nothing of it', function (array $check, string $field, string $words): void {
    ($this->add)([])->assertCreated();
    ($this->add)($check)->assertUnprocessable()->assertJsonValidationErrors([$field => $words]);
    expect(OwnCheck::query()->count())->toBe(1)->and($this->sheet->refresh()->sheet['checks'])->not->toHaveKey('own_2');
})->with([
    'no name' => [['name' => '  '], 'name', '60 characters or fewer'],
    'a name as a list' => [['name' => ['x']], 'name', '60 characters or fewer'],
    'on the sheet already' => [['name' => 'hose CLAMP'], 'name', 'on this sheet already'],
    'the same name for another' => [['kind' => 'yes_no'], 'name', 'Choose another name'],
    'the name of a check that ships' => [['name' => 'Opener blade diameter'], 'name', 'Choose another name'],
    'nowhere' => [['name' => 'x', 'station' => 'cab'], 'station', 'Choose the station'],
    'nothing asked' => [['name' => 'x', 'kind' => 'length'], 'kind', 'Say what it asks'],
    'a number without its limit' => [['name' => 'x', 'kind' => 'at_most'], 'limit', 'must not pass'],
    'a limit that is no number' => [['name' => 'x', 'kind' => 'at_most', 'limit' => 'much'], 'limit', 'much'],
    'a limit beyond all range' => [['name' => 'x', 'kind' => 'at_most', 'limit' => '1000000'], 'limit', '10'],
]);

it('is nobody else\'s, and never on a typical sheet', function (): void {
    $this->postJson("/api/spec-sheets/{$this->typicalSheet()->id}/own-checks", ['name' => 'x', 'station' => 'frame', 'kind' => 'yes_no'])->assertForbidden();
    $this->switchTo($this->technicianOf('Other'))->postJson("/api/spec-sheets/{$this->sheet->id}/own-checks", ['name' => 'x', 'station' => 'frame', 'kind' => 'yes_no'])->assertNotFound();
});

it('takes no more than there are places for', function (): void {
    foreach (range(1, 24) as $number) {
        ($this->add)(['name' => "Check {$number}"])->assertCreated();
    }
    ($this->add)(['name' => 'One more'])->assertUnprocessable()->assertJsonValidationErrors(['name' => '24 checks of its own']);
});

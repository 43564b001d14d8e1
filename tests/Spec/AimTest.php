<?php

declare(strict_types=1);

use App\Models\Aim;

beforeEach(fn () => $this->actingAs($this->technician));

it('keeps what is good by crop and size, the nearest figure first', function (): void {
    $this->postJson('/api/aims', ['crop' => '', 'singulation' => 0.97, 'emergence_hours' => 60])->assertCreated();
    $this->postJson('/api/aims', ['crop' => ' Milo ', 'singulation' => 0.95])->assertCreated()->assertJsonPath('crop', 'milo');
    $this->postJson('/api/aims', ['crop' => 'milo', 'size' => 'Flat', 'depth_band' => 3.2])->assertCreated();
    $aims = App\Spec\ShopAims::of($this->technician->workshop_id);
    expect($aims->for('MILO', 'flat')->singulation)->toBe(0.95)->and($aims->for('MILO', 'flat')->depthBand)->toBe(3.2)->and($aims->for('milo')->depthBand)->toBe(6.35)
        ->and($aims->for('popcorn')->singulation)->toBe(0.97)->and($aims->for('milo', 'flat')->emergenceHours)->toBe(60.0)->and($aims->for('popcorn')->depth)->toBeNull();
    expect($this->getJson('/api/aims')->assertOk()->json('aims.*.crop'))->toBe(['', 'milo', 'milo'])->and($this->getJson('/api/aims')->json('typical.singulation'))->toBe(0.98)->and($this->getJson('/api/aims')->json('typical.spacing_cv'))->toBe(0.3);
});

it('overwrites nobody, and has each crop and size once', function (): void {
    $id = $this->postJson('/api/aims', ['crop' => 'milo', 'singulation' => 0.95])->json('id');
    expect($this->postJson('/api/aims', ['crop' => 'Milo'])->assertUnprocessable()->json('errors.crop.0'))->toContain('“milo” already exists');
    $this->putJson("/api/aims/{$id}", ['crop' => 'milo', 'singulation' => 0.94, 'revision' => 1])->assertOk()->assertJsonPath('revision', 2);
    $this->putJson("/api/aims/{$id}", ['crop' => 'milo', 'singulation' => 0.99, 'revision' => 1])->assertConflict();
    expect(Aim::query()->sole()->singulation)->toBe('0.940');
    $this->switchTo($this->technicianOf('Lowmoor Planter Services'))->putJson("/api/aims/{$id}", ['crop' => 'milo', 'revision' => 2])->assertNotFound();
});

it('refuses what cannot be good', function (array $with, string $field, string $said): void {
    expect($this->postJson('/api/aims', $with + ['crop' => 'milo'])->assertUnprocessable()->json("errors.{$field}.0"))->toContain($said)->and(Aim::query()->count())->toBe(0);
})->with([
    [['singulation' => 98], 'singulation', '50 to 100%'], [['singulation' => '0.98'], 'singulation', '50 to 100%'], [['rate_low' => 0.05], 'rate_low', 'closer together'], [['rate_high' => 0], 'rate_high', 'farther apart'],
    [['depth' => 2], 'depth', '3 to 160 mm'], [['depth_band' => 0], 'depth_band', '0.5 to 50 mm'], [['emergence_hours' => 1.5], 'emergence_hours', '1 to 500'], [['crop' => '', 'size' => 'flat'], 'size', 'for a crop'], [['spacing_cv' => 30], 'spacing_cv', '5 to 100%'], [['crop' => 7], 'crop', 'Name the crop'],
]);

<?php

declare(strict_types=1);

use App\Models\Parts\PartType;
use App\Models\People\Activity;
use App\Models\People\Role;
use App\Models\User;
use App\Spec\CopySpecSheet;

it('tells the owner who changed which figure, price or person, with what stood before', function (): void {
    $idris = User::factory()->for($this->technician->workshop)->create(['role' => Role::Technician, 'name' => 'Idris Vale'])->refresh();
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $type = PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Blade', 'price' => '38.50', 'slots' => ['opener_blade'], 'per_row' => 2, 'new_size' => '381', 'new_size_typed' => '15 in']);
    $this->actingAs($idris);
    $this->putJson("/api/part-types/{$type->id}", ['name' => 'Blade', 'slots' => ['opener_blade'], 'per_row' => 2, 'new_size' => '15 in', 'price' => 41.25])->assertOk();
    $this->putJson("/api/spec-sheets/{$sheet->id}", ['name' => $sheet->name, 'figures' => ['opener_blade_diameter' => ['limit' => ['value' => '14 1/4', 'source' => 'manual']]], 'notch' => ['value' => '1/4', 'source' => 'manual']])->assertOk();
    $this->getJson("/api/planters/{$this->planter()->id}/blank.pdf")->assertOk();
    $this->getJson('/api/activity')->assertForbidden();

    $this->switchTo($this->technician)->patchJson("/api/people/{$idris->id}", ['role' => 'helper'])->assertOk();
    $this->patchJson("/api/people/{$idris->id}", ['role' => 'helper'])->assertOk();
    $this->signedOut()->postJson('/api/sign-in', ['email' => $this->technician->email, 'password' => 'secret-rows'])->assertOk();
    $lines = collect($this->switchTo($this->technician)->getJson('/api/activity')->assertOk()->json());
    $line = static fn (string $what, string $kind): array => $lines->firstOrFail(static fn (array $one): bool => [$one['what'], $one['kind']] === [$what, $kind]);

    expect($line('updated', 'partType'))->toMatchArray(['who' => 'Idris Vale', 'name' => 'Blade'])
        ->and(collect($line('updated', 'partType')['changes'])->firstWhere('field', 'price'))->toBe(['field' => 'price', 'before' => '38.50', 'after' => '41.25'])
        ->and($line('updated', 'specSheet')['changes'])->toContain(['field' => 'sheet.checks.opener_blade_diameter.figures.limit.value', 'before' => '14 1/2 in', 'after' => '14 1/4 in'])
        ->and($line('updated', 'user'))->toMatchArray(['who' => 'Wren Ashdown', 'name' => 'Idris Vale', 'changes' => [['field' => 'role', 'before' => 'technician', 'after' => 'helper']]])
        ->and($line('exported', 'planter')['who'])->toBe('Idris Vale')
        ->and($line('signed_in', 'user')['who'])->toBe('Wren Ashdown')
        // Twice the same is no change.
        ->and($lines->where('what', 'updated')->where('kind', 'user'))->toHaveCount(1)
        ->and(Activity::query()->get()->toJson())->not->toContain('$2y$');

    expect($this->switchTo($this->technicianOf('Lowmoor Planter Services'))->getJson('/api/activity')->json('*.kind'))->not->toContain('partType');
});

it('tells what an earlier version noted by the names of its classes', function (): void {
    Activity::query()->toBase()->insert([
        'workshop_id' => $this->technician->workshop_id, 'description' => 'deleted', 'subject_type' => 'App\\Models\\PartType', 'subject_id' => 1, 'subject_name' => 'Blade',
        'causer_type' => 'App\\Models\\User', 'causer_id' => $this->technician->id, 'created_at' => '2026-11-20T08:00:00Z',
    ]);
    (require database_path('migrations/2026_12_14_000028_words_for_what_was_done_to.php'))->up();

    expect($this->switchTo($this->technician)->getJson('/api/activity')->assertOk()->json('0'))->toMatchArray(['who' => 'Wren Ashdown', 'what' => 'deleted', 'kind' => 'partType', 'name' => 'Blade']);
});

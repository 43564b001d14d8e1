<?php

declare(strict_types=1);

use App\Models\Manual;
use App\Models\People\Role;
use App\Models\User;
use App\Spec\CopySpecSheet;
use App\Spec\Manuals\ManualFiles;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;

beforeEach(function (): void {
    $this->actingAs($this->technician);
    $this->pdf = fn (string $text = 'Depth stop: page 41.'): string => "%PDF-1.4\n{$text}\n%%EOF\n";
    $this->add = fn (array $of, ?string $content = null, array $with = []): TestResponse => $this->post('/api/manuals', $with + $of + [
        'name' => 'Row units', 'file' => UploadedFile::fake()->createWithContent('row units.pdf', $content ?? ($this->pdf)()),
    ], ['Accept' => 'application/json']);
});

it('attaches a manual to a planter, or to all that go by a sheet, and opens it', function (): void {
    $sheet = app(CopySpecSheet::class)($this->typicalSheet(), $this->technician);
    $planter = $this->planter(['row_count' => 8, 'other_rows' => [['rows' => [8], 'spec_sheet_id' => $sheet->id, 'equipment' => []]]]);
    $other = $this->planter(['name' => 'Other']);
    $own = ($this->add)(['planter_id' => $planter->id])->assertCreated()->assertJsonPath('bytes', strlen(($this->pdf)()))->json('id');
    $ofRow8 = ($this->add)(['spec_sheet_id' => $sheet->id], ($this->pdf)('Added rows'))->assertCreated()->json('id');
    $ofAll = ($this->add)(['spec_sheet_id' => $this->typicalSheet()->id], ($this->pdf)('All'), ['name' => 'All rows'])->assertCreated()->json('id');
    $manuals = fn (int $of): array => array_column($this->getJson("/api/planters/{$of}/manuals")->assertOk()->json(), 'id');
    expect($manuals($planter->id))->toBe([$own, $ofAll, $ofRow8])->and($manuals($other->id))->toBe([$ofAll])
        ->and(array_column($this->getJson("/api/spec-sheets/{$sheet->id}/manuals")->json(), 'id'))->toBe([$ofRow8]);
    $file = $this->get("/api/manuals/{$own}/file")->assertOk()->assertHeader('Content-Type', 'application/pdf')->assertHeader('X-Content-Type-Options', 'nosniff');
    expect($file->getFile()->getContent())->toBe(($this->pdf)());
    // A neighbor attaches to the same typical sheet: neither sees the other's.
    $this->switchTo($this->technicianOf('Lowmoor Planter Services'));
    ($this->add)(['spec_sheet_id' => $this->typicalSheet()->id])->assertCreated();
    expect($this->getJson("/api/spec-sheets/{$this->typicalSheet()->id}/manuals")->json())->toHaveCount(1);
    $this->getJson("/api/manuals/{$ofAll}/file")->assertNotFound();
    ($this->add)(['planter_id' => $planter->id])->assertUnprocessable()->assertJsonPath('errors.planter_id.0', __('manual.of'));
    ($this->add)(['spec_sheet_id' => $sheet->id])->assertUnprocessable()->assertJsonPath('errors.spec_sheet_id.0', __('manual.of'));
});

it('takes the same file once, and none that is no PDF, is cut off or too large', function (): void {
    $planter = $this->planter();
    $id = ($this->add)(['planter_id' => $planter->id])->assertCreated()->json('id');
    ($this->add)(['planter_id' => $planter->id])->assertOk()->assertJsonPath('id', $id);
    foreach ([
        ["PK\x03\x04 a zip", [], 'file', '“row units.pdf” is not a PDF, or only part of one. Save the manual as a PDF and choose it again.'],
        ["%PDF-1.4\ncut", [], 'file', '“row units.pdf” is not a PDF, or only part of one. Save the manual as a PDF and choose it again.'],
        [null, ['file' => UploadedFile::fake()->create('big.pdf', 41 * 1024)], 'file', __('manual.too_large')], [null, ['file' => null], 'file', __('manual.missing')],
        [null, ['name' => ' '], 'name', __('manual.name')], [null, ['spec_sheet_id' => $planter->spec_sheet_id], 'planter_id', __('manual.of')],
    ] as [$content, $with, $at, $said]) {
        expect(($this->add)(['planter_id' => $planter->id], $content, $with)->assertUnprocessable()->json('errors')[$at][0])->toBe($said);
    }
    ($this->add)([])->assertUnprocessable()->assertJsonPath('errors.planter_id.0', __('manual.of'));
    ($this->add)(['planter_id' => $planter->id], ($this->pdf)('Second'), ['file' => UploadedFile::fake()->createWithContent('almost.pdf', "%PDF-1.4\n".str_repeat('x', 40 * 1024 * 1024 - 20)."\n%%EOF\n")])->assertCreated();
    expect(Manual::query()->count())->toBe(2)->and(glob(ManualFiles::root().'/*.part'))->toBe([]);
});

it('notes the page at a check, over the one that was seen, and forgets a manual with its file', function (): void {
    $planter = $this->planter();
    $manual = ($this->add)(['planter_id' => $planter->id])->json();
    $change = fn (array $with) => $this->putJson("/api/manuals/{$manual['id']}", $with + ['name' => 'Row units', 'pages' => ['opener_blade_diameter' => 41], 'revision' => 1]);
    $change([])->assertOk()->assertJsonPath('pages', ['opener_blade_diameter' => 41])->assertJsonPath('revision', 2);
    // Sent again it is known; another page over the old state is told.
    $change([])->assertOk()->assertJsonPath('revision', 2);
    $change(['pages' => ['opener_blade_diameter' => 43]])->assertConflict()->assertJsonPath('changed', ['pages']);
    foreach ([['pages' => ['opener_blade_diameter' => 0]], ['pages' => ['opener_blade_diameter' => '41']], ['pages' => ['nothing' => 4]], ['pages' => ['opener_blade_diameter' => 5001]]] as $wrong) {
        $change($wrong + ['revision' => 2])->assertUnprocessable()->assertJsonPath('errors.pages.0', __('manual.pages'));
    }
    $change(['name' => '', 'revision' => 2])->assertUnprocessable()->assertJsonPath('errors.name.0', __('manual.name'));
    $helper = User::factory()->for($this->technician->workshop)->create(['role' => Role::Helper])->refresh();
    $this->switchTo($helper);
    $change(['name' => 'Mine', 'revision' => 2])->assertForbidden();
    $change(['pages' => ['seed_tube' => 9], 'revision' => 2])->assertOk()->assertJsonPath('revision', 3);
    $this->deleteJson("/api/manuals/{$manual['id']}")->assertForbidden();
    $this->switchTo($this->technician);
    $path = ManualFiles::root()."/{$manual['id']}.pdf";
    expect($path)->toBeFile();
    $this->deleteJson("/api/manuals/{$manual['id']}")->assertNoContent();
    expect($path)->not->toBeFile()->and($this->getJson("/api/planters/{$planter->id}/manuals")->json())->toBe([]);
});

it('puts files away that no manual has, once they are old', function (): void {
    $kept = ($this->add)(['planter_id' => $this->planter()->id])->json('id');
    [$old, $young] = [ManualFiles::root().'/990001.pdf', ManualFiles::root().'/990002.pdf'];
    foreach ([$old, $young] as $file) {
        file_put_contents($file, 'x');
    }
    touch($old, now()->subDays(2)->getTimestamp());
    touch(ManualFiles::root()."/{$kept}.pdf", now()->subDays(2)->getTimestamp());
    $this->artisan('ustrel:tidy');
    expect($old)->not->toBeFile()->and($young)->toBeFile()->and(ManualFiles::root()."/{$kept}.pdf")->toBeFile();
    unlink($young);
});

<?php

declare(strict_types=1);

use App\Console\Pulse;
use App\Models\Parts\PartType;
use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Models\Record\QueuedJob;
use App\Models\Walk\Reading;
use App\Models\Walk\Walk;
use App\Record\Import\CsvFile;
use App\Record\Import\ImportFiles;
use App\Record\Import\RunImport;
use App\Record\Import\TakeImport;
use Illuminate\Cache\Events\KeyWritten;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Queue;
use Ramsey\Uuid\Uuid;

beforeEach(function (): void {
    $this->planter = $this->planter(['planting_start' => '2026-04-20']);
    /** What comes of a file: what it holds, or why it was refused. */
    $this->import = function (string $content, string $kind = 'acres', string $mode = 'preview', array $more = []): array {
        $answer = $this->actingAs($this->technician)->post("/api/planters/{$this->planter->id}/imports", $more + [
            'file' => UploadedFile::fake()->createWithContent('fields.csv', $content), 'kind' => $kind, 'mode' => $mode,
        ])->assertStatus(202)->json();

        return $answer['result'] ?? $answer;
    };
});

/** @return string two hundred fields, three of them bad */
function seasonOfFields(): string
{
    $lines = ['Date,Field,Acres,Crop,Tillage'];
    for ($field = 1; $field <= 200; $field++) {
        $lines[] = match ($field) {
            50 => '2025-05-10,Field 50,0,popcorn,no-till',
            100 => '2025-13-40,Field 100,12.5,popcorn,no-till',
            150 => '2025-05-10,Field 150,12.5,popcorn,ploughed',
            default => sprintf('2025-05-%02d,Field %d,%s,popcorn,no-till', 1 + $field % 28, $field, 10 + $field / 10),
        };
    }

    return implode("\n", $lines);
}

it('shows what a season\'s fields hold, line by line, and takes the good ones', function (): void {
    $preview = ($this->import)(seasonOfFields());
    expect($preview)->toMatchArray(['good' => 197, 'bad' => 3, 'kept' => 197, 'done' => false, 'missing' => [], 'already' => null, 'has_header' => true])
        ->and(array_column($preview['errors'], 'line'))->toBe([51, 101, 151])
        ->and($preview['errors'][0]['message'])->toContain('over 0')
        ->and($preview['errors'][1]['message'])->toContain('2025-13-40')
        ->and($preview['errors'][2]['message'])->toContain('no till')
        ->and(DB::table('acres_log')->count())->toBe(0);

    expect(($this->import)(seasonOfFields(), mode: 'whole'))->toMatchArray(['kept' => 0, 'done' => false])
        ->and(DB::table('acres_log')->count())->toBe(0);
    expect(($this->import)(seasonOfFields(), mode: 'good', more: ['leave_out' => '[2,3]']))->toMatchArray(['kept' => 195, 'done' => true])
        ->and(DB::table('acres_log')->count())->toBe(195);

    // The same file again is noticed, and nothing of it comes twice.
    $again = ($this->import)(seasonOfFields(), mode: 'good');
    expect($again)->toMatchArray(['kept' => 2, 'known' => 195])->and($again['already'])->toMatchArray(['kept' => 195, 'left_out' => 5])
        ->and(DB::table('acres_log')->count())->toBe(197)
        ->and($this->getJson("/api/planters/{$this->planter->id}/imports")->assertOk()->json())->toHaveCount(2)
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('reads a file however it was saved', function (string $content, array $more = []): void {
    $report = ($this->import)($content, mode: 'whole', more: $more);
    expect($report)->toMatchArray(['good' => 2, 'bad' => 0, 'done' => true]);
    $lines = DB::table('acres_log')->orderBy('day')->get(['day', 'field', 'acres']);
    expect($lines[0]->day)->toBe('2025-04-28')->and((float) $lines[0]->acres)->toBe(62.5)->and($lines[0]->field)->toBe('Größe Acker')
        ->and((float) $lines[1]->acres)->toBe(1062.5);
})->with([
    'UTF-8' => ["Date,Field,Acres\n2025-04-28,Größe Acker,62.5\n2025-04-29,B,\"1,062.5\"\n"],
    'with BOM' => ["\xEF\xBB\xBFDate,Field,Acres\r\n2025-04-28,Größe Acker,62.5\r\n2025-04-29,B,1062.5\r\n"],
    'semicolons and decimal commas' => ["Date;Field;Acres\n28.04.2025;Größe Acker;62,5\n29.04.2025;B;1.062,5\n"],
    'tabs' => ["Planted on\tField name\tArea\n28/4/2025\tGröße Acker\t62.5\n29/4/2025\tB\t1062.5"],
    'Windows-1252' => [fn () => mb_convert_encoding("Date,Field,Acres\n2025-04-28,Größe Acker,62.5\n2025-04-29,B,1062.5\n", 'Windows-1252', 'UTF-8')],
    'UTF-16' => [fn () => "\xFF\xFE".mb_convert_encoding("Date,Field,Acres\n2025-04-28,Größe Acker,62.5\n2025-04-29,B,1062.5\n", 'UTF-16LE', 'UTF-8')],
    'no column names' => ["2025-04-28,Größe Acker,62.5\n2025-04-29,B,1062.5\n", ['mapping' => '{"columns":{"date":0,"field":1,"acres":2}}']],
    'blank lines, months first' => ["Acres,Field,Date\n\n62.5,Größe Acker,4/28/2025\n\n1062.5,B,4/29/2025\n,,\n"],
]);

it('keeps a line break inside quotes, and counts lines as an editor does', function (): void {
    $report = ($this->import)("Date,Field,Acres,Crop\n2025-04-28,\"Long\nField\",62.5,corn\n2025-04-29,B,none,corn\n");
    expect($report)->toMatchArray(['good' => 1, 'bad' => 1])->and($report['errors'][0])->toMatchArray(['line' => 4])->and($report['errors'][0]['message'])->toContain('none');
});

it('asks for what it cannot guess', function (): void {
    $report = ($this->import)("When planted,Block,Ha\n2025-04-28,A,62.5\n");
    expect($report)->toMatchArray(['missing' => ['date'], 'good' => 0, 'columns' => ['When planted', 'Block', 'Ha']])->and($report['samples'])->toHaveCount(1);
    $either = ($this->import)("Date,Field,Acres\n3/4/2025,A,\"1,250\"\n");
    expect($either['errors'][0]['message'])->toContain('two ways');
    expect(($this->import)("Date,Field,Acres\n3/4/2025,A,12\n", mode: 'whole', more: ['mapping' => '{"columns":{"date":0,"field":1,"acres":2},"dates":"dmy"}']))->toMatchArray(['kept' => 1])
        ->and(DB::table('acres_log')->value('day'))->toBe('2025-04-03');
});

it('refuses by name what is no such file', function (string $content, string $message): void {
    expect(($this->import)($content)['refused'])->toContain($message);
})->with([
    'nothing but commas' => [str_repeat(",,,\n", 3_500_000), 'no lines to import'], 'one line of commas' => [str_repeat(',', 14_000_000), 'more than 100,000 characters'],
    'UTF-16 cut within a letter' => [fn () => "\xFF\xFE".mb_convert_encoding("Date,Field,Acres\n2025-04-28,A,62.5", 'UTF-16LE', 'UTF-8').'5', 'in the middle of a character'],
    'empty' => ['', 'empty'], 'a picture' => ["\x89PNG\0\0\0\0", 'not a text file'], 'one column' => ["Acres\n12\n", 'only one column'],
]);

it('brings past readings in as finished walks of their seasons', function (): void {
    $csv = "Date,Row,Check,Side,Reading\n2024-03-02,1,Opener blade diameter,left,14 7/8\n2024-03-02,2,opener blade diameter,L,14 13/16 in\n2025-03-01,1,opener_blade_diameter,left,14.75\n2025-03-01,1,seed tube,,change\n"
        ."2025-03-01,9,opener_blade_diameter,left,14\n2025-03-01,1,blade of grass,left,14\n2025-03-01,1,opener_blade_diameter,,14\n2025-03-01,1,opener_blade_diameter,left,tall\n";
    $report = ($this->import)($csv, 'readings', 'good');
    expect($report)->toMatchArray(['kept' => 4, 'bad' => 4])
        ->and(array_column($report['errors'], 'message'))->sequence(
            fn ($message) => $message->toContain('no row 9'), fn ($message) => $message->toContain('blade of grass'),
            fn ($message) => $message->toContain('say on which side'), fn ($message) => $message->toContain('tall'),
        );
    $walks = DB::table('walks')->orderBy('season')->get(['season', 'finished_at']);
    expect($walks->pluck('season')->all())->toBe([2024, 2025])->and($walks->whereNull('finished_at'))->toHaveCount(0);
    $cell = $this->cellAt($this->getJson("/api/planters/{$this->planter->id}/board")->json('cells'), 1);
    expect($cell['last'])->toMatchArray(['season' => 2025, 'value' => 374.65]);
    expect(($this->import)($csv, 'readings', 'good'))->toMatchArray(['kept' => 0, 'known' => 4])
        ->and(DB::table('walks')->count())->toBe(2)->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('says which readings are hard to believe, and keeps them where they are not left out', function (): void {
    $csv = "Date,Row,Check,Side,Reading\n2025-03-01,1,opener_blade_diameter,left,15\n2025-03-01,2,opener_blade_diameter,left,16 1/4\n2025-03-01,3,opener_blade_diameter,left,14 7/8\n2025-03-01,1,seed tube,,change\n";
    $report = ($this->import)($csv, 'readings');
    expect($report)->toMatchArray(['good' => 4, 'bad' => 0, 'doubtful' => 1])->and($report['doubts'])->toEqual([
        ['line' => 3, 'message' => 'That is 1 1/4 in larger than new (15 in).', 'text' => '2025-03-01 | 2 | opener_blade_diameter | left | 16 1/4'],
    ]);
    expect(($this->import)($csv, 'readings', 'whole', ['leave_out' => '[3]']))->toMatchArray(['kept' => 3, 'doubtful' => 0]);
    expect(($this->import)($csv, 'readings', 'whole'))->toMatchArray(['kept' => 1, 'known' => 3, 'doubtful' => 1]);
});

it('brings past part changes in, and names those that cannot all be true', function (): void {
    PartType::factory()->create(['workshop_id' => $this->technician->workshop_id, 'name' => 'Plain blade', 'own_number' => 'T-101']);
    $csv = "Date,Row,Slot,Side,Part,Size,Why,Removed,Cost\n"
        ."2023-03-01,1,opener blade,L,t-101,15 in,,,38.5\n2024-03-01,1,opener blade,L,Plain blade,,worn out,,38.5\n2023-03-01,2,opener blade,R,,14 3/4,,2024-02-01,\n"
        ."2022-03-01,1,opener blade,L,T-101,,,2023-06-01,\n2023-03-01,3,opener blade,L,T-999,,,,\n2023-03-01,4,opener blade,L,,,,2023-02-01,\n";
    $report = ($this->import)($csv, 'changes', 'good');
    $errors = array_column($report['errors'], 'message', 'line');
    expect($errors[6])->toContain('T-999')->and($errors[7])->toContain('cannot be removed on 2023-02-01')
        ->and($errors[5])->toContain('another part was in the slot from 2023-03-01')
        ->and($report)->toMatchArray(['kept' => 3, 'bad' => 3]);
    // A note is kept whole or not at all.
    $note = ($this->import)("Date,Row,Slot,Side,Note\n2023-03-01,5,opener blade,L,".str_repeat('x', 1001)."\n", 'changes', 'good');
    expect($note['errors'][0]['message'])->toContain('1,001 characters');
    $fittings = DB::table('fittings')->orderBy('row_number')->orderBy('fitted_at')->get();
    expect($fittings->pluck('removal_reason')->all())->toBe(['worn', null, 'other'])
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

/** @return string the path of a file with so many lines of fields */
function manyFields(int $lines): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'ustrel');
    $file = fopen($path, 'w');
    fwrite($file, "Date,Field,Acres\n");
    for ($line = 0; $line < $lines; $line++) {
        // Every tenth says the same as another: they are told apart by their turn.
        fwrite($file, sprintf("%d-05-%02d,Field %d,%.1f\n", 2000 + $line % 25, 1 + $line % 28, $line % 10 === 0 ? 0 : $line, $line % 10 === 0 ? 5 : 1 + $line % 90));
    }
    fclose($file);

    return $path;
}

it('takes many lines slice by slice in little memory, and gives the planter free between them', function (): void {
    $path = manyFields(20_000);
    $held = [];
    DB::listen(function (QueryExecuted $query) use (&$held): void {
        if (str_starts_with($query->sql, 'UPDATE planters SET revision')) {
            $held[] = memory_get_usage();
        }
    });
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $answer = $this->actingAs($this->technician)->post("/api/planters/{$this->planter->id}/imports", [
        'file' => new UploadedFile($path, 'all.csv', 'text/csv', null, true), 'kind' => 'acres', 'mode' => 'good',
    ])->assertStatus(202);
    unlink($path);
    expect($answer->json('result'))->toMatchArray(['kept' => 20_000, 'bad' => 0, 'done' => true])
        ->and($answer->json('import'))->toMatchArray(['state' => 'done', 'kept' => 20_000])
        ->and($answer->json('progress'))->toBe(['lines' => 20_000, 'share' => 1])
        ->and(count($held))->toBe(10)
        ->and(memory_get_peak_usage() - $before)->toBeLessThan(32 * 2 ** 20)
        ->and(DB::table('acres_log')->count())->toBe(20_000)
        ->and(app(ImportFiles::class)->pathOf(Import::query()->firstOrFail()))->not->toBeFile();
});

it('goes on where it was after its worker was killed, and takes nothing twice', function (): void {
    $path = manyFields(5000);
    // The worker is gone with the second slice on record: nothing more is written by it.
    $killed = false;
    Event::listen(function (KeyWritten $told) use (&$killed): void {
        if (! $killed && str_starts_with($told->key, 'import.') && $told->value['lines'] === 4000) {
            $killed = true;
            DB::table('imports')->update(['state' => 'cancelled']);
        }
    });
    $answer = $this->actingAs($this->technician)->post("/api/planters/{$this->planter->id}/imports", ['file' => new UploadedFile($path, 'all.csv', 'text/csv', null, true), 'kind' => 'acres', 'mode' => 'good']);
    expect($answer->json('import'))->toMatchArray(['state' => 'cancelled', 'kept' => 4000])
        ->and(DB::table('acres_log')->count())->toBe(4000);

    $import = Import::query()->firstOrFail();
    app(ImportFiles::class)->keep($import, $path);
    $import->update(['state' => ImportState::Taking]);
    TakeImport::dispatch($import->id);
    $now = $this->getJson("/api/planters/{$this->planter->id}/imports/{$import->id}")->assertOk();
    expect($now->json('result'))->toMatchArray(['kept' => 5000, 'good' => 5000, 'known' => 0])
        ->and(DB::table('acres_log')->count())->toBe(5000);
    // Handed to a second worker by mistake, it is over; and the file again brings nothing.
    TakeImport::dispatch($import->id);
    expect(($this->import)((string) file_get_contents($path), mode: 'whole'))->toMatchArray(['kept' => 0, 'known' => 5000])
        ->and(DB::table('acres_log')->count())->toBe(5000);
    unlink($path);
});

it('stops at a press, keeps what is on record, and says so; what is over cannot be stopped', function (): void {
    Queue::fake();
    $planter = "/api/planters/{$this->planter->id}/imports";
    $answer = $this->actingAs($this->technician)->post($planter, ['file' => UploadedFile::fake()->createWithContent('a.csv', "Date,Field,Acres\n2025-04-28,A,5\n"), 'kind' => 'acres', 'mode' => 'good'])->assertStatus(202);
    $id = $answer->json('import.id');
    expect($answer->json())->toMatchArray(['progress' => null, 'result' => null, 'refused' => null])->and($answer->json('import.state'))->toBe('waiting')
        ->and($this->getJson($planter)->json('0.id'))->toBe($id);
    $this->postJson("{$planter}/{$id}/cancel")->assertOk()->assertJsonPath('import.state', 'cancelled');
    $this->postJson("{$planter}/{$id}/cancel")->assertOk();
    app(RunImport::class)($id);
    expect(DB::table('acres_log')->count())->toBe(0)->and(app(ImportFiles::class)->pathOf(Import::query()->firstOrFail()))->not->toBeFile();
    Import::query()->update(['state' => ImportState::Done]);
    $this->postJson("{$planter}/{$id}/cancel")->assertConflict()->assertJsonPath('message', 'This import is over; there is nothing left to stop.');
});

it('tries again where the database was away for a moment, and says so in the end where it fails each time', function (): void {
    Queue::fake();
    $id = $this->actingAs($this->technician)->post("/api/planters/{$this->planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('a.csv', "Date,Field,Acres\n2025-04-28,A,5\n"), 'kind' => 'acres', 'mode' => 'good'])->json('import.id');
    $isAway = true;
    DB::listen(function (QueryExecuted $query) use (&$isAway): void {
        if ($isAway && str_starts_with($query->sql, 'UPDATE planters SET revision')) {
            throw new RuntimeException('server closed the connection unexpectedly');
        }
    });
    expect(fn () => app(RunImport::class)($id))->toThrow(RuntimeException::class)
        ->and(Import::query()->firstOrFail())->state->toBe(ImportState::Taking)->kept->toBe(0);
    Import::query()->update(['starts' => 11]);
    app(RunImport::class)($id);
    expect(Import::query()->firstOrFail())->state->toBe(ImportState::Refused)->refused->toContain('Something went wrong');
    Import::query()->update(['starts' => 0, 'state' => ImportState::Taking, 'refused' => null]);
    $isAway = false;
    app(ImportFiles::class)->keep(Import::query()->firstOrFail(), (string) tap(tempnam(sys_get_temp_dir(), 'ustrel'), fn (string $path) => file_put_contents($path, "Date,Field,Acres\n2025-04-28,A,5\n")));
    app(RunImport::class)($id);
    expect(Import::query()->firstOrFail())->state->toBe(ImportState::Done)->kept->toBe(1);
});

it('tells who watches over it that work waits and nobody works', function (): void {
    Cache::forget('worker.pulse');
    $this->get('/up')->assertNoContent();
    QueuedJob::query()->insert(['queue' => 'default', 'payload' => '{}', 'attempts' => 0, 'available_at' => time() - 300, 'created_at' => time() - 300]);
    $this->get('/up')->assertStatus(503);
    app(Pulse::class)->beat();
    $this->get('/up')->assertNoContent();
});

it('gives a file up that ends its worker again and again', function (): void {
    Queue::fake();
    $answer = $this->actingAs($this->technician)->post("/api/planters/{$this->planter->id}/imports", ['file' => UploadedFile::fake()->createWithContent('a.csv', "Date,Field,Acres\n2025-04-28,A,5\n"), 'kind' => 'acres', 'mode' => 'good']);
    Import::query()->update(['starts' => 12]);
    app(RunImport::class)($answer->json('import.id'));
    expect(Import::query()->firstOrFail())->state->toBe(ImportState::Refused)->refused->toContain('could not finish this file');
});

it('holds no more of a file than a line at a time', function (): void {
    $path = (string) tempnam(sys_get_temp_dir(), 'ustrel');
    file_put_contents($path, "a,b\n".str_repeat("2025-04-28,x\n", 400_000));
    $before = memory_get_usage();
    $most = 0;
    foreach (CsvFile::open($path)->lines() as $number => $line) {
        $most = $number % 10_000 === 0 ? max($most, memory_get_usage() - $before) : $most;
    }
    unlink($path);
    expect($most)->toBeLessThan(2 ** 20);
});

it('judges past readings by the odds that the shop watches by', function (): void {
    $this->actingAs($this->technician)->patchJson('/api/workshop', ['watch_chance' => 0.05])->assertOk();
    $this->logAcres($this->planter, '2024-05-02', 300)->assertCreated();
    ($this->import)("Date,Row,Check,Side,Reading\n2024-03-02,1,Opener blade diameter,left,14 7/8\n", 'readings', 'good');
    $walk = Walk::query()->where('planter_id', $this->planter->id)->firstOrFail();
    expect((float) $walk->watch_chance)->toBe(0.05)->and((float) $walk->planned_acres)->toBe(300.0)->and($walk->imported)->toBeTrue()
        ->and($this->artisan('ustrel:rebuild'))->toBe(0);
});

it('never takes a neighbour\'s walk or lines for its own, whatever ids they were given', function (): void {
    // What an earlier version would have called the walk, and the line, of this planter: the neighbour was there first.
    $named = fn (string $name): string => Uuid::uuid5('6e1f0a52-3c1b-5d7e-9a44-7b5d2f0c81aa', "{$this->planter->id} readings {$name}")->toString();
    $ours = $this->planter;
    $wren = $this->technician;
    $this->technician = $this->technicianOf('Lowmoor Planter Services');
    $theirs = $this->planter(['workshop_id' => $this->technician->workshop_id, 'planting_start' => '2024-04-20']);
    $walk = $this->switchTo($this->technician)->postJson("/api/planters/{$theirs->id}/walks", ['kind' => 'pre_season', 'order' => 'row_by_row', 'cautions_acknowledged' => true, 'id' => $named('walk 2024')])->assertCreated()->json('id');
    $this->send(Walk::query()->findOrFail($walk), $this->reading(1, '14 1/2', ['id' => $named('2024-03-02 1 opener_blade_diameter left 14 7/8 1')]))->assertOk();

    $this->technician = $wren;
    $this->switchTo($wren);
    expect(($this->import)("Date,Row,Check,Side,Reading\n2024-03-02,1,opener_blade_diameter,left,14 7/8\n", 'readings', 'good'))->toMatchArray(['kept' => 1, 'known' => 0]);
    expect(Walk::query()->where('planter_id', $ours->id)->pluck('id')->all())->not->toContain($walk)
        ->and(Reading::query()->where('walk_id', $walk)->pluck('planter_id')->unique()->all())->toBe([$theirs->id]);
});

it('names a quote that is never closed, and letters that cannot be read', function (): void {
    $lines = implode('', array_map(fn (int $line): string => "2025-04-28,Field {$line},5\n", range(1, 2000)));
    expect(($this->import)("Date,Field,Acres\n2025-04-27,\"Long Field,5\n{$lines}")['refused'])->toContain('opens on line 2');
    $report = ($this->import)(str_repeat("2025-04-28,Field,5\n", 5000)."2025-04-28,Gr\xF6\xDFe,5\n2025-04-28,B,5\n", more: ['mapping' => '{"columns":{"date":0,"field":1,"acres":2}}']);
    expect($report)->toMatchArray(['bad' => 1, 'good' => 5001])->and($report['errors'][0]['message'])->toContain('unreadable characters');
});

<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

// What is kept whatever befalls a running Ustrel: kills, updates, a full disk, a move to another machine.

require_once __DIR__.'/running.php';

afterEach(fn () => endAll());

it('puts everything by in one sealed file, and takes it back elsewhere, or says why not', function (): void {
    [$from, $to] = [dataFolder(), dataFolder()];
    $settings = ['USTREL_DATA' => $from, 'USTREL_PORT' => (string) freePort(), 'USTREL_BACKUP_PASSPHRASE' => 'kelp and ladle'];
    $demo = start($settings);
    $demo->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
    expect(mkdir("{$from}/storage/app/photos/1", recursive: true))->toBeTrue();
    file_put_contents("{$from}/storage/app/photos/1/a.jpg", 'a picture');
    expect(mkdir("{$from}/storage/app/manuals"))->toBeTrue();
    file_put_contents("{$from}/storage/app/manuals/a.pdf", 'a manual');
    // A backup that was killed has left its dump; one that is under way is left alone.
    foreach (['dead', 'alive'] as $name) {
        mkdir("{$from}/storage/backups/.backup-{$name}", recursive: true);
        file_put_contents("{$from}/storage/backups/.backup-{$name}/database.dump", 'all of it');
        foreach (['', "/.backup-{$name}", "/.backup-{$name}/database.dump"] as $of) {
            chown("{$from}/storage/backups{$of}", (int) fileowner("{$from}/storage/app"));
        }
    }
    flock($alive = fopen("{$from}/storage/backups/.backup-alive.held", 'c'), LOCK_EX);
    chmod("{$from}/storage/backups/.backup-alive.held", 0666);
    // Three go on recording while it is made, and what it holds is counted in what was dumped.
    $more = "INSERT INTO workshops SELECT (jsonb_populate_record(of, jsonb_build_object('id', nextval('workshops_id_seq')))).* FROM workshops AS of WHERE id = 1";
    $writers = array_map(static fn (): Process => recording($from, $more), range(1, 3));
    $backup = command($settings, 'ustrel:backup', '--thin');
    expect(stopRecording($from))->toBe(count($writers));
    expect(glob("{$from}/storage/backups/.backup-*"))->toBe(["{$from}/storage/backups/.backup-alive", "{$from}/storage/backups/.backup-alive.held"]);
    fclose($alive);
    expect(command($settings, 'ustrel:try-backup')->getOutput())->toContain('was restored completely');
    expect(asked($from, 'SELECT count(*) > 5 FROM workshops'))->toBe('t')->and(asked($from, 'DELETE FROM workshops WHERE id NOT IN (SELECT workshop_id FROM users) RETURNING 1') === '')->toBeFalse();
    expect($backup->getOutput())->toContain('Written: ')->and($backup->getExitCode())->toBe(0);
    [$file] = glob("{$from}/storage/backups/*.backup");
    expect((string) file_get_contents($file, length: 8))->toBe('Salted__')
        ->and(fileperms($file) & 0777)->toBe(0600)
        ->and(command($settings, 'ustrel:backup')->getExitCode())->toBe(0)->and(glob("{$from}/storage/backups/.backup-*"))->toBe([]);
    expect(command($settings, 'ustrel:try-backup')->getOutput())->toContain('was restored completely')
        ->and(command(['USTREL_BACKUP_PASSPHRASE' => 'another'] + $settings, 'ustrel:try-backup')->getExitCode())->toBe(1)
        ->and(json_decode((string) file_get_contents("{$from}/storage/backups/trial.json"), true)['why'])->toContain('does not open')
        ->and(glob("{$from}/storage/backups/.trial-*"))->toBe([]);
    $refused = command($settings, 'ustrel:restore', $file);
    expect($refused->getExitCode())->toBe(1)->and($refused->getOutput())->toContain('There is a workshop here already.');
    $demo->signal(SIGTERM);
    $demo->wait();

    $settings = ['USTREL_DATA' => $to, 'USTREL_PORT' => (string) freePort()] + $settings;
    $own = start($settings, '--own');
    $own->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
    file_put_contents("{$to}/cut", substr((string) file_get_contents($file), 0, 200_000));
    file_put_contents("{$to}/none", 'nothing of the kind');
    foreach ([[['USTREL_BACKUP_PASSPHRASE' => 'another'], $file, 'does not open'], [['USTREL_BACKUP_PASSPHRASE' => ''], $file, 'is sealed'], [[], "{$to}/cut", 'or the file is cut'], [[], "{$to}/none", 'is not an Ustrel backup'], [[], "{$to}/not-there", 'There is no file']] as [$other, $what, $why]) {
        $refused = command($other + $settings, 'ustrel:restore', $what);
        expect($refused->getExitCode())->toBe(1, $why)->and(preg_replace('/\s+/', ' ', $refused->getOutput()))->toContain($why);
    }
    // A newer version has tables of its own here, which hang on those of the backup.
    asked($to, 'CREATE TABLE of_a_newer_version (user_id bigint REFERENCES users); ALTER TABLE of_a_newer_version OWNER TO ustrel');
    $restored = command($settings, 'ustrel:restore', $file);
    expect($restored->getOutput().$restored->getErrorOutput())->toContain('the state is equal to the record')
        ->and($restored->getExitCode())->toBe(0)->and(asked($to, "SELECT count(*) FROM pg_tables WHERE tablename = 'of_a_newer_version'"))->toBe('0')
        ->and(file_get_contents("{$to}/storage/app/photos/1/a.jpg"))->toBe('a picture')->and(file_get_contents("{$to}/storage/app/manuals/a.pdf"))->toBe('a manual')
        ->and(visit('GET', "http://127.0.0.1:{$settings['USTREL_PORT']}/api/welcome", [], "{$to}/jar")[2])->toBe('{"is_set_up":true,"is_demo":true}')
        ->and(command($settings, 'ustrel:rebuild')->getOutput())->toContain('Equal:');
    $own->signal(SIGTERM);
    $own->wait();
    array_map(removeFolder(...), [$from, $to]);
});

it('is back whatever of it is killed, and takes over what a killed start has left', function (): void {
    $folder = dataFolder();
    $settings = ['USTREL_DATA' => $folder, 'USTREL_PORT' => (string) freePort()];
    $root = "http://127.0.0.1:{$settings['USTREL_PORT']}";
    $first = start($settings, '--own');
    $first->setTimeout(3600);
    $first->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
    $pid = fn (string $file): int => (int) @file_get_contents("{$folder}/{$file}");
    foreach (['run/nginx.pid', 'run/fpm.pid', 'pg/postmaster.pid', 'run/schedule.pid', 'run/worker.pid'] as $file) {
        $killed = $pid($file);
        exec("kill -9 {$killed}");
        // Looked after every two seconds, and on a busy machine later.
        for ($since = microtime(true); in_array($pid($file), [0, $killed], true) && microtime(true) - $since < LONG; usleep(100_000)) {
        }
        expect($pid($file))->not->toBeIn([0, $killed], $file)
            ->and(comesUp($root))->toBeTrue($file);
    }

    // What only stands in for devices never stops the rest, however often it ends, and finds another port each time.
    $ports = [];
    for ($since = microtime(true); ! str_contains($first->getOutput(), 'standin does not stay up; everything else goes on without it') && microtime(true) - $since < 2 * LONG;) {
        $ports[] = (int) file_get_contents("{$folder}/run/standin.port");
        // Between an end and the next start there is none.
        $standIn = (int) @file_get_contents("{$folder}/run/standin.pid");
        $standIn > 1 && posix_kill(-$standIn, SIGKILL);
        usleep(300_000);
    }
    expect(count(array_unique($ports)))->toBeGreaterThan(15)->and($first->isRunning())->toBeTrue()->and($first->getOutput())->toContain('standin does not stay up');
    expect(comesUp($root))->toBeTrue();

    $first->signal(SIGKILL);
    $first->wait();
    // All of it at once, as where the power goes.
    foreach (['run/nginx.pid', 'run/fpm.pid', 'run/schedule.pid', 'run/worker.pid', 'pg/postmaster.pid'] as $file) {
        exec("kill -9 {$pid($file)} 2>/dev/null");
    }
    $second = start($settings, '--own');
    $second->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
    expect(comesUp($root))->toBeTrue();
    $second->signal(SIGTERM);
    $second->wait();
    expect(runningIn($folder))->toBe('');
    removeFolder($folder);
});

it('loses nothing and doubles nothing whatever is killed while two people send everything there is', function (): void {
    [$folder, $journals] = [dataFolder(), dataFolder()];
    $settings = ['USTREL_DATA' => $folder, 'USTREL_PORT' => (string) freePort()];
    $root = "http://127.0.0.1:{$settings['USTREL_PORT']}";
    $run = function () use ($settings): Process {
        $process = start($settings);
        $process->setTimeout(3600);
        $process->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));

        return $process;
    };
    $ustrel = $run();
    $jar = "{$journals}/jar";
    visit('GET', "{$root}/sanctum/csrf-cookie", [], $jar);
    visit('POST', "{$root}/api/sign-in", ['email' => 'wren@tollgate.example', 'password' => 'tollgate-rows'], $jar);
    $sheet = json_decode(visit('GET', "{$root}/api/spec-sheets", [], $jar)[2], true)[0]['id'];
    $planter = json_decode(visit('POST', "{$root}/api/planters", ['farm' => 'Ardle', 'name' => 'Killed', 'row_count' => 8, 'spacing' => '30', 'spec_sheet_id' => $sheet], $jar)[2], true)['id'];
    $walk = json_decode(visit('POST', "{$root}/api/planters/{$planter}/walks", ['kind' => 'pre_season', 'order' => 'row_by_row', 'cautions_acknowledged' => true], $jar)[2], true)['id'];
    $clients = array_map(function (int $own) use ($root, $planter, $walk, $journals): Process {
        $client = new Process([PHP_BINARY, __DIR__.'/kills/client.php', $root, (string) $planter, (string) $walk, (string) $own, "{$journals}/{$own}", dirname(__DIR__, 2).'/public/icon-192.png'], timeout: 3600);
        $client->start();

        return $client;
    }, [1, 2]);

    $pid = fn (string $file): int => (int) @file_get_contents("{$folder}/{$file}");
    $childOf = fn (int $parent): int => (int) trim((string) shell_exec("pgrep -P {$parent} | shuf -n 1"));
    $victims = [
        'postmaster' => fn (): int => $pid('pg/postmaster.pid'),
        'a backend' => fn (): int => (int) trim((string) shell_exec("pgrep -P {$pid('pg/postmaster.pid')} -f 'postgres: ustrel ustrel' | shuf -n 1")),
        'php-fpm' => fn (): int => $pid('run/fpm.pid'),
        'one of php-fpm' => fn (): int => $childOf($pid('run/fpm.pid')),
        'nginx' => fn (): int => $pid('run/nginx.pid'),
        'the worker' => fn (): int => $pid('run/worker.pid'),
        'bin/start itself' => fn (): int => (int) $ustrel->getPid(),
    ];
    // How far the two have got: what is killed next is killed once each of them had an answer again.
    $answered = fn (): array => array_map(function (int $own) use ($journals): int {
        clearstatcache();

        return (int) @filesize("{$journals}/{$own}");
    }, [1, 2]);
    $kills = (int) (getenv('USTREL_KILLS') ?: 14);
    $waited = 0.0;
    for ($kill = 0; $kill < $kills; $kill++) {
        usleep(random_int(300_000, 2_000_000));
        $victim = array_keys($victims)[$kill % count($victims)];
        $killed = microtime(true);
        if ($victim === 'bin/start itself') {
            $ustrel->signal(SIGKILL);
            $ustrel->wait();
            $ustrel = $run();
        } else {
            exec("kill -9 {$victims[$victim]()} 2>&1");
            // The one that looks after them has its turn.
            usleep(2_100_000);
        }
        expect(comesUp($root))->toBeTrue($victim);
        $before = $answered();
        while (array_filter(array_map(fn (int $now, int $then): bool => $now <= $then, $answered(), $before)) !== []) {
            expect(microtime(true) - $killed)->toBeLessThan(LONG, "somebody at work, {$victim} killed");
            usleep(50_000);
        }
        $waited = max($waited, microtime(true) - $killed);
    }
    touch("{$journals}/stop");
    foreach ($clients as $client) {
        $client->wait();
        expect($client->getErrorOutput())->toBe('');
    }
    // Files that were taken in are worked on to their end.
    for ($began = microtime(true); asked($folder, "SELECT count(*) FROM imports WHERE state IN ('waiting', 'looking', 'taking')") !== '0' && microtime(true) - $began < 120; sleep(1)) {
    }

    $said = array_map(fn (string $line): array => explode(' ', $line), [...file("{$journals}/1", FILE_IGNORE_NEW_LINES), ...file("{$journals}/2", FILE_IGNORE_NEW_LINES)]);
    $counts = [];
    foreach (['readings', 'notes', 'photos', 'ledger_events', 'acres_log'] as $table) {
        $acknowledged = array_column(array_filter($said, fn (array $line): bool => $line[0] === $table), 1);
        $ids = "'".implode("', '", $acknowledged)."'";
        $counts[$table] = count($acknowledged);
        expect($acknowledged)->not->toBe([], $table)
            ->and((int) asked($folder, "SELECT count(*) FROM {$table} WHERE planter_id = {$planter} AND id IN ({$ids})"))->toBe(count($acknowledged), "{$table} acknowledged and lost");
    }
    expect(array_filter($said, fn (array $line): bool => $line[0] === 'refused'))->toBe([]);
    $files = array_column(array_filter($said, fn (array $line): bool => $line[0] === 'file'), 2);
    foreach ($files as $file) {
        [$own, $number] = explode('-', $file);
        expect(asked($folder, "SELECT count(*) || ' ' || count(DISTINCT field) FROM acres_log WHERE planter_id = {$planter} AND field LIKE 'Client {$own} file {$number} line %'"))->toBe('5000 5000', "file {$file}");
    }
    // Each photo has its two pictures, and no picture is without a photo but those that were being sent when all fell over.
    foreach (array_column(array_filter($said, fn (array $line): bool => $line[0] === 'photos'), 1) as $photo) {
        expect("{$folder}/storage/app/photos/{$planter}/{$photo}.jpg")->toBeFile()->and("{$folder}/storage/app/photos/{$planter}/{$photo}.thumb.jpg")->toBeFile();
    }
    exec('find '.escapeshellarg("{$folder}/storage/app")." -exec touch -d '2 days ago' {} +");
    command($settings, 'ustrel:tidy');
    expect(count(glob("{$folder}/storage/app/photos/{$planter}/*.jpg") ?: []))->toBe(2 * (int) asked($folder, "SELECT count(*) FROM photos WHERE planter_id = {$planter}"))
        ->and(command($settings, 'ustrel:rebuild')->getOutput())->toContain('Equal:');
    fwrite(STDERR, "\n{$kills} kills; acknowledged ".json_encode($counts).', files of 5,000 lines '.count($files).', both at work answered again within '.round($waited, 1)." s of each\n");
    $ustrel->signal(SIGTERM);
    $ustrel->wait();
    expect(runningIn($folder))->toBe('');
    array_map(removeFolder(...), [$folder, $journals]);
});

it('puts by what there is before an update, and says how to go on where one fails', function (): void {
    $folder = dataFolder();
    $settings = ['USTREL_DATA' => $folder, 'USTREL_PORT' => (string) freePort()];
    $run = function (string ...$sql) use ($settings, $folder): void {
        $ustrel = start($settings, '--own');
        $ustrel->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
        array_map(fn (string $one): string => asked($folder, $one), $sql);
        $ustrel->signal(SIGTERM);
        $ustrel->wait();
    };
    $forget = "DELETE FROM migrations WHERE migration = '2026_11_30_000012_work_in_the_background'";
    // As an earlier version left it.
    $run('DROP TABLE jobs', 'ALTER TABLE imports DROP state, DROP mode, DROP mapping, DROP leave_out, DROP line, DROP starts, DROP report, DROP refused', $forget);
    expect(glob("{$folder}/storage/backups/before-updates/*.backup"))->toBe([]);
    $run();
    expect(glob("{$folder}/storage/backups/before-updates/*.backup"))->toHaveCount(1);
    // One that cannot be: its tables are there already.
    $run($forget);
    $fails = start($settings, '--own');
    expect($fails->wait())->toBe(1)
        ->and($fails->getErrorOutput())->toContain('already exists')->toContain('The data are as they were before it, and put by in')
        ->and(glob("{$folder}/storage/backups/before-updates/*.backup"))->toHaveCount(2)
        ->and(runningIn($folder))->toBe('');
    removeFolder($folder);
});

it('refuses in words where the disk is full, leaves nothing half, and goes on once there is room', function (): void {
    $folder = dataFolder();
    (new Process(['mount', '-t', 'tmpfs', '-o', 'size=260m,mode=711', 'tmpfs', $folder]))->mustRun();
    $settings = ['USTREL_DATA' => $folder, 'USTREL_PORT' => (string) freePort()];
    $root = "http://127.0.0.1:{$settings['USTREL_PORT']}";
    $jar = sys_get_temp_dir().'/jar-'.bin2hex(random_bytes(4));
    $ustrel = start($settings);
    $ustrel->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
    visit('GET', "{$root}/sanctum/csrf-cookie", [], $jar);
    visit('POST', "{$root}/api/sign-in", ['email' => 'wren@tollgate.example', 'password' => 'tollgate-rows'], $jar);
    $yard = json_decode(visit('GET', "{$root}/api/yard", [], $jar)[2], true);
    [$planter, $walk] = [$yard[0]['id'], collect($yard)->pluck('open_walk.id')->filter()->first() ?? json_decode(visit('GET', "{$root}/api/planters/{$yard[0]['id']}/walks", [], $jar)[2], true)[0]['id']];
    $photo = ['id' => '0198b0c0-0000-7000-8000-00000000f011', 'row' => '1', 'check' => 'seed_tube', 'side' => 'centre', 'taken_at' => gmdate('Y-m-d\TH:i:s.000\Z')];
    $send = fn (): array => visit('POST', "{$root}/api/walks/{$walk}/photos", $photo + ['photo' => new CURLFile(dirname(__DIR__, 2).'/public/icon-192.png', 'image/png', 'a.png')], $jar);
    $acres = fn (int $n): array => ['id' => sprintf('0198b0c0-0000-7000-8000-%012d', $n), 'day' => '2025-05-02', 'field' => 'Long Field', 'acres' => 5];
    $pictures = fn (): int => (int) trim((string) shell_exec('find '.escapeshellarg("{$folder}/storage/app").' -name "*.jpg" | wc -l'));
    $before = $pictures();

    // All that is left is taken by something else.
    $filler = new Process(['dd', 'if=/dev/zero', "of={$folder}/filler", 'bs=64k']);
    $filler->run();
    [$status, , $said] = $send();
    expect($status)->toBe(507)->and($said)->toContain('no room left on its disk')->and($pictures())->toBe($before)
        ->and(asked($folder, "SELECT count(*) FROM photos WHERE id = '{$photo['id']}'"))->toBe('0');
    file_put_contents("{$jar}.csv", "Date,Field,Acres\n".str_repeat("2025-04-28,Field,5\n", 50_000));
    [$status, , $said] = visit('POST', "{$root}/api/planters/{$planter}/imports", ['file' => new CURLFile("{$jar}.csv", 'text/csv', 'a.csv'), 'kind' => 'acres', 'mode' => 'good'], $jar);
    expect($status)->toBe(507)->and($said)->toContain('no room left on its disk')->and(glob("{$folder}/storage/app/imports/*.csv") ?: [])->toBe([]);
    $backup = command($settings, 'ustrel:backup');
    expect($backup->getExitCode())->toBe(1)->and($backup->getOutput().$backup->getErrorOutput())->toMatch('/room|could not be written/i')
        ->and(glob("{$folder}/storage/backups/{,.}*.{backup,part}", GLOB_BRACE) ?: [])->toBe([]);
    // What the database has room for it takes, and what it took is there.
    $taken = array_filter(range(1, 20), fn (int $n): bool => visit('POST', "{$root}/api/planters/{$planter}/acres", $acres($n), $jar)[0] === 201);

    unlink("{$folder}/filler");
    expect(comesUp($root))->toBeTrue()
        ->and($send()[0])->toBe(201)
        ->and((int) asked($folder, "SELECT count(*) FROM acres_log WHERE id::text LIKE '0198b0c0-0000-7000-8000-%'"))->toBe(count($taken))
        ->and(command($settings, 'ustrel:rebuild')->getOutput())->toContain('Equal:');
    $ustrel->signal(SIGTERM);
    $ustrel->wait();
    (new Process(['umount', $folder]))->mustRun();
    array_map(unlink(...), glob("{$jar}*") ?: []);
    removeFolder($folder);
})->skip(posix_geteuid() !== 0, 'A small disk can be made by root alone.');

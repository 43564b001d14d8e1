<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

// bin/start as a newcomer runs it, in a data folder of its own.

require_once __DIR__.'/running.php';

afterEach(fn () => endAll());

it('starts, answers, keeps data over a restart, and stops every child', function (int $signal): void {
    $folder = dataFolder();
    $settings = ['USTREL_DATA' => $folder, 'USTREL_PORT' => (string) freePort()];
    $address = "http://127.0.0.1:{$settings['USTREL_PORT']}";

    foreach (['first', 'second', 'third'] as $time) {
        $process = start($settings);
        $process->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
        if ($time !== 'first') {
            expect($process->getOutput())->not->toContain('Installing')->not->toContain('Building');
        }
        expect($process->getOutput())->toContain("Ustrel runs at {$address}")->toContain('wren@tollgate.example')
            ->and((string) file_get_contents("{$address}/sign-in"))->toContain('<div id="app">')
            ->and(get_headers("{$address}/api/yard")[0])->toContain('401');

        $again = start(['USTREL_PORT' => (string) freePort()] + $settings);
        expect($again->wait())->toBe(1)->and($again->getErrorOutput())->toContain('already running from this data folder');

        $process->signal($signal);
        // An impatient second one while it stops.
        usleep(150_000);
        if ($process->isRunning()) {
            $process->signal($signal);
        }
        $process->wait();
        expect(runningIn($folder))->toBe('');
    }
    expect($process->getOutput())->not->toContain('Making');
    removeFolder($folder);
})->with(['Ctrl-C' => SIGINT, 'SIGTERM' => SIGTERM]);

it('begins as a workshop of one\'s own by TLS, set up once, with nothing that others could read along', function (): void {
    $folder = dataFolder();
    $jar = "{$folder}/jar";
    $process = start(['USTREL_DATA' => $folder, 'USTREL_PORT' => (string) freePort()], '--own', '--self-signed');
    $process->waitUntil(fn (string $type, string $output): bool => str_contains($output, 'Ctrl-C stops it.'));
    expect(preg_match('~Set up your workshop, once, within a day: (https://127\.0\.0\.1:\d+)/set-up#(\S+)~', $process->getOutput(), $found))->toBe(1)
        ->and($process->getOutput())->not->toContain('tollgate');
    [, $root, $secret] = $found;

    // Nobody else on the machine reads anything of it; and started by root, none of it but the way in runs as root.
    $nobody = new Process([...(posix_geteuid() === 0 ? ['setpriv', '--reuid', 'nobody', '--regid', 'nogroup', '--clear-groups', '--'] : []), 'find', $folder, '-type', 'f', '-readable']);
    $nobody->run();
    if (posix_geteuid() === 0) {
        expect($nobody->getOutput())->toBe('')
            ->and(shell_exec("ps -eo user:20,args | grep -E '[n]ginx|[p]hp-fpm|[a]rtisan' | grep -F ".escapeshellarg($folder)." | grep -c '^root'"))->toBe("0\n")
            ->and((int) shell_exec('ps -eo user:20,args | grep -F '.escapeshellarg($folder)." | grep -cE '^(ustrel|postgres) '"))->toBeGreaterThan(2);
    }

    [$status, $headers] = visit('GET', "{$root}/sw.js", [], $jar);
    expect($status)->toBe(200)->and($headers)->toContain('x-content-type-options: nosniff')->toContain('strict-transport-security')
        ->toContain("script-src 'self';")->toContain('frame-ancestors')->toContain('permissions-policy');
    expect(visit('GET', "{$root}/up", [], $jar)[0])->toBe(204)
        ->and(visit('GET', "{$root}/api/me", [], $jar)[1])->not->toContain('set-cookie');
    [, $cookies] = visit('GET', "{$root}/sanctum/csrf-cookie", [], $jar);
    expect(preg_match_all('/set-cookie: [^\n]*; secure;/', $cookies))->toBe(2);

    $form = ['link' => $secret, 'workshop' => 'Ardle Row Works', 'time_zone' => 'UTC', 'currency' => 'EUR', 'units' => 'mm', 'name' => 'Teasel Brook', 'email' => 'teasel@ardle.example', 'password' => 'wet gravel under the hitch'];
    expect(visit('POST', "{$root}/api/set-up", $form, $jar)[0])->toBe(201)
        ->and(visit('GET', "{$root}/api/yard", [], $jar))->toMatchArray([0 => 200, 2 => '[]'])
        ->and(visit('POST', "{$root}/api/set-up", $form, $jar)[0])->toBe(422);
    $process->signal(SIGTERM);
    $process->wait();
    removeFolder($folder);
});

it('is put into the care of systemd as it was started, and taken out again', function (): void {
    $folder = dataFolder();
    // Writes down what it is told, in place of the one that runs this machine.
    file_put_contents("{$folder}/systemctl", "#!/bin/sh\necho \"\$*\" >>{$folder}/told\n");
    chmod("{$folder}/systemctl", 0755);
    $settings = ['PATH' => "{$folder}:".getenv('PATH'), 'USTREL_UNITS' => $folder, 'USTREL_PORT' => '8443', 'USTREL_BIND' => '0.0.0.0', 'USTREL_DATA' => ''];
    $made = start($settings, '--own', '--self-signed', '--install-service');
    expect($made->wait())->toBe(0)->and($made->getOutput())->toContain('journalctl -u ustrel');
    $unit = (string) file_get_contents("{$folder}/ustrel.service");
    expect($unit)->toContain('ExecStart="'.dirname(__DIR__, 2).'/bin/start" --own --self-signed')->toContain('Environment="USTREL_PORT=8443"')->toContain('Environment="USTREL_BIND=0.0.0.0"')
        ->not->toContain('USTREL_UNITS')->not->toContain('USTREL_DATA')->toContain('Restart=on-failure');
    expect(start($settings, '--remove-service')->wait())->toBe(0)
        ->and("{$folder}/ustrel.service")->not->toBeFile()
        ->and(file("{$folder}/told", FILE_IGNORE_NEW_LINES))->toBe(['daemon-reload', 'enable --now ustrel.service', 'disable --now ustrel.service', 'daemon-reload']);
    removeFolder($folder);
});

it('says what to do where it cannot start, and leaves nothing behind', function (Closure $settings, string $message): void {
    [$environment, $options, $release] = $settings();
    $process = start($environment, ...$options);
    expect($process->wait())->toBe(1);
    $lines = explode("\n", trim($process->getErrorOutput()));
    expect(end($lines))->toContain($message);
    if (isset($environment['USTREL_DATA'])) {
        expect(runningIn($environment['USTREL_DATA']))->toBe('')
            ->and(is_dir($environment['USTREL_DATA'].'/pg'))->toBeFalse();
    }
    $release();
})->with([
    'a port taken' => [function (): array {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        $port = explode(':', (string) stream_socket_get_name($server, false))[1];

        return [['USTREL_DATA' => '/tmp/ustrel-never-made', 'USTREL_PORT' => $port], [], fn (): bool => fclose($server)];
    }, 'is taken. Stop what uses it, or choose another: USTREL_PORT=8076 bin/start'],
    'a folder that cannot be written' => [
        fn (): array => [['USTREL_DATA' => '/proc/ustrel', 'USTREL_PORT' => (string) freePort()], [], fn (): null => null],
        'cannot write to /proc/ustrel. Set USTREL_DATA to a folder that you may write to.',
    ],
    'a demo that was not meant' => [
        fn (): array => [['USTREL_DATA' => '/tmp/ustrel-never-made', 'USTREL_PORT' => (string) freePort()], ['--fresh-demo'], fn (): null => null],
        'nothing was changed.',
    ],
    'an option that there is not' => [
        fn (): array => [['USTREL_PORT' => (string) freePort()], ['--turbo'], fn (): null => null],
        'unknown option --turbo. There are --own, --self-signed, --fresh-demo, --install-service and --remove-service.',
    ],
    'an address with a path' => [
        fn (): array => [['USTREL_DATA' => '/tmp/ustrel-never-made', 'USTREL_PORT' => (string) freePort(), 'USTREL_URL' => 'https://rows.example/ustrel'], [], fn (): null => null],
        'USTREL_URL is an address alone, without a path: leave "/ustrel" out. Ustrel wants a name or a port of its own.',
    ],
    'a certificate of another key' => [
        function (): array {
            $folder = dataFolder();
            foreach (['a', 'b'] as $name) {
                (new Process(['openssl', 'req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-days', '2', '-subj', '/CN=rows.example', '-keyout', "{$folder}/{$name}.key", '-out', "{$folder}/{$name}.pem"]))->mustRun();
            }

            return [['USTREL_DATA' => '/tmp/ustrel-never-made', 'USTREL_PORT' => (string) freePort(), 'USTREL_CERT' => "{$folder}/a.pem", 'USTREL_KEY' => "{$folder}/b.key"], [], fn () => removeFolder($folder)];
        },
        'does not fit the key',
    ],
]);

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Symfony\Component\Process\PhpExecutableFinder;

/** Runs in the place of a device, until it is stopped. */
final class StandIn extends Command
{
    /** That are answered side by side: one that is 30 s late is not to keep the others waiting. */
    private const AT_ONCE = '8';

    protected $signature = 'ustrel:stand-in {device : parts} {--port=8631 : of this machine alone}';

    protected $description = 'Stand in for a device: a supplier\'s parts counter';

    public function handle(): int
    {
        $device = $this->argument('device');
        $port = (string) $this->option('port');
        $program = preg_match('/^[a-z]+$/D', $device) === 1 ? base_path("standins/{$device}.php") : '';
        if (! is_file($program)) {
            $this->error(__('stand_in.none', ['device' => $device]));

            return self::FAILURE;
        }
        if (preg_match('/^\d{1,5}$/D', $port) !== 1 || (int) $port < 1 || (int) $port > 65535) {
            $this->error(__('stand_in.port'));

            return self::FAILURE;
        }
        $this->info(__('stand_in.runs', ['address' => "http://127.0.0.1:{$port}/works"]));
        // In the place of this command, so that what stops it stops the stand-in.
        pcntl_exec((string) (new PhpExecutableFinder)->find(false), ['-S', "127.0.0.1:{$port}", $program], ['PHP_CLI_SERVER_WORKERS' => self::AT_ONCE, 'PATH' => (string) getenv('PATH')]);
        $this->error(__('stand_in.none', ['device' => $device]));

        return self::FAILURE;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\Stand\StandInDevice;
use Illuminate\Console\Command;
use Symfony\Component\Process\PhpExecutableFinder;

/** Runs in the place of a device, until it is stopped. */
final class StandIn extends Command
{
    /** That are answered side by side: one that is 30 s late is not to keep the others waiting. */
    private const AT_ONCE = '8';

    protected $signature = 'ustrel:stand-in {device : parts or stand} {--port=8631 : parts: of this machine alone} {--at=http://127.0.0.1:8630 : stand: where Ustrel is} {--token= : stand: as the Bench shows it once} {--size=5 : stand: of the seed, mm} {--runs=0 : stand: then it stops; 0 for until it is stopped}';

    protected $description = 'Stand in for a device: a supplier\'s parts counter, or a meter test stand';

    public function handle(): int
    {
        $device = $this->argument('device');
        if ($device === 'stand') {
            return $this->stand();
        }
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

    private function stand(): int
    {
        [$at, $token, $size, $runs] = [(string) $this->option('at'), (string) $this->option('token'), (string) $this->option('size'), (string) $this->option('runs')];
        if (preg_match('#^https?://[^\s/]+/?$#D', $at) !== 1 || $token === '' || ! is_numeric($size) || (float) $size < 1 || (float) $size > 20 || preg_match('/^\d{1,4}$/D', $runs) !== 1) {
            $this->error(__('stand_in.stand'));

            return self::FAILURE;
        }
        $this->info(__('stand_in.asks', ['address' => $at]));
        if (! (new StandInDevice(rtrim($at, '/'), $token, (float) $size, fn (string $says) => $this->info($says)))->work((int) $runs)) {
            $this->error(__('stand_in.token'));

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}

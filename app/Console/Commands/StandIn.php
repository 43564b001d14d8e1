<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\Stand\DeviceLine;
use App\Bench\Stand\StandInDevice;
use App\Field\Watch\StandInMonitor;
use Illuminate\Console\Command;
use Symfony\Component\Process\PhpExecutableFinder;
use Ustrel\Core\Field\Watch\PracticeFault;

/** Runs in the place of a device, until it is stopped. */
final class StandIn extends Command
{
    /** That are answered side by side: one that is 30 s late is not to keep the others waiting. */
    private const AT_ONCE = '8';

    protected $signature = 'ustrel:stand-in {device : parts, stand or monitor} {--port=8631 : parts: of this machine alone} {--at=http://127.0.0.1:8630 : stand, monitor: where Ustrel is} {--token= : stand, monitor: as it was shown once} {--size=5 : stand: of the seed, mm} {--runs=0 : stand: then it stops; 0 for until it is stopped} {--fault=none : monitor: what goes wrong after some minutes} {--tempo=1 : monitor: seconds of the field in one of ours} {--seconds=0 : monitor: of the field, then it stops; 0 for until the run is over}';

    protected $description = 'Stand in for a device: a supplier\'s parts counter, a meter test stand, or a row monitor';

    public function handle(): int
    {
        $device = $this->argument('device');
        if ($device === 'stand' || $device === 'monitor') {
            return $device === 'stand' ? $this->stand() : $this->monitor();
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
        [$size, $runs] = [(string) $this->option('size'), (string) $this->option('runs')];
        $line = $this->deviceLine();
        if ($line === null || ! is_numeric($size) || (float) $size < 1 || (float) $size > 20 || preg_match('/^\d{1,4}$/D', $runs) !== 1) {
            $this->error(__('stand_in.stand'));

            return self::FAILURE;
        }

        return $this->worked((new StandInDevice($line, (float) $size, fn (string $says) => $this->info($says)))->work((int) $runs));
    }

    private function monitor(): int
    {
        [$fault, $tempo, $seconds] = [PracticeFault::tryFrom((string) $this->option('fault')), (string) $this->option('tempo'), (string) $this->option('seconds')];
        $line = $this->deviceLine();
        if ($line === null || $fault === null || preg_match('/^[1-9]\d?$/D', $tempo) !== 1 || preg_match('/^\d{1,6}$/D', $seconds) !== 1) {
            $this->error(__('stand_in.monitor', ['faults' => implode(', ', array_column(PracticeFault::cases(), 'value'))]));

            return self::FAILURE;
        }

        return $this->worked((new StandInMonitor($line, $fault, (int) $tempo, fn (string $says) => $this->info($says)))->work((int) $seconds));
    }

    /** Null where it is not said where Ustrel is, or by which token. */
    private function deviceLine(): ?DeviceLine
    {
        [$at, $token] = [(string) $this->option('at'), (string) $this->option('token')];
        if (preg_match('#^https?://[^\s/]+/?$#D', $at) !== 1 || $token === '') {
            return null;
        }
        $this->info(__('stand_in.asks', ['address' => $at]));

        return new DeviceLine(rtrim($at, '/'), $token, fn (string $says) => $this->info($says));
    }

    private function worked(bool $isLetIn): int
    {
        if (! $isLetIn) {
            $this->error(__('stand_in.token'));
        }

        return $isLetIn ? self::SUCCESS : self::FAILURE;
    }
}

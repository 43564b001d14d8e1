<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\Pulse;
use App\Models\Record\QueuedJob;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Queue;

/** The one worker of an installation. */
final class Work extends Command
{
    protected $signature = 'ustrel:work';

    protected $description = 'Work on what waits in the background, such as files that are imported';

    public function handle(Pulse $pulse): int
    {
        Queue::looping(static function () use ($pulse): void {
            $pulse->beat();
            // Who looks for work has none in hand, and there is no other worker: what is taken was by one that was killed or fell over.
            QueuedJob::query()->whereNotNull('reserved_at')->update(['reserved_at' => null]);
        });

        return $this->call('queue:work', ['--sleep' => '0.3', '--tries' => '0']);
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\Pulse;
use App\Models\Job;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Queue;

/** The one worker of an installation. */
final class Work extends Command
{
    protected $signature = 'ustrel:work';

    protected $description = 'Work on what waits in the background, such as files that are imported';

    public function handle(Pulse $pulse): int
    {
        // What a worker had that was killed is taken up at once: there is no other that could have it.
        Job::query()->whereNotNull('reserved_at')->update(['reserved_at' => null]);
        Queue::looping(static fn () => $pulse->beat());

        return $this->call('queue:work', ['--sleep' => '0.3', '--tries' => '0']);
    }
}

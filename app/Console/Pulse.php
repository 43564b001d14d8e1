<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Record\QueuedJob;
use Illuminate\Contracts\Cache\Repository;

/** Whether what waits in the background is being worked on. */
final readonly class Pulse
{
    private const KEY = 'worker.pulse';

    /** The worker looks for work several times a second; between two slices of a file it takes longer. */
    private const LONGEST_SILENCE_SECONDS = 120;

    public function __construct(private Repository $cache)
    {
    }

    public function beat(): void
    {
        $this->cache->put(self::KEY, now()->getTimestamp(), self::LONGEST_SILENCE_SECONDS);
    }

    /** Nothing that is due has waited for longer than a worker is silent while it works. */
    public function isWell(): bool
    {
        return $this->cache->has(self::KEY)
            || ! QueuedJob::query()->where('available_at', '<', now()->subSeconds(self::LONGEST_SILENCE_SECONDS)->getTimestamp())->exists();
    }
}

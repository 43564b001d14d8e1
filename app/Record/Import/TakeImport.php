<?php

declare(strict_types=1);

namespace App\Record\Import;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Works on a file in the background. Started again after its worker was killed, it goes on where it was. */
final class TakeImport implements ShouldQueue
{
    use Queueable;

    /** Seconds. */
    public int $timeout = 3600;

    /** Seconds until it is tried again where something was away, such as the database. */
    public int $backoff = 2;

    public function __construct(private readonly int $import)
    {
    }

    public function handle(RunImport $run): void
    {
        $run($this->import);
    }
}

<?php

declare(strict_types=1);

namespace App\Models\Record;

use Illuminate\Database\Eloquent\Model;

/**
 * What waits to be worked on in the background, as the queue keeps it.
 *
 * @property int $id
 * @property int|null $reserved_at since when a worker has it, in seconds of Unix time
 * @property int $available_at
 */
final class QueuedJob extends Model
{
    protected $table = 'jobs';

    public $timestamps = false;
}

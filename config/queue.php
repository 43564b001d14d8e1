<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        // One worker, which takes back what a killed one had when it starts; nothing is handed to two by the clock.
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 7200, 'after_commit' => false],
    ],
    // A job tells its own end, where those who wait for it see it.
    'failed' => ['driver' => 'null'],
];

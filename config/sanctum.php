<?php

declare(strict_types=1);

use Laravel\Sanctum\Sanctum;

return [
    // The client comes from the same origin as the API, whatever that is.
    'stateful' => [Sanctum::$currentRequestHostPlaceholder],
    'guard' => ['web'],
];

<?php

declare(strict_types=1);

use Tests\FeatureTestCase;

// Every room's tests, so that a new one is not forgotten; the rest need no application.
$rooms = array_diff(array_map(basename(...), glob(__DIR__.'/*', GLOB_ONLYDIR) ?: []), ['Architecture', 'Start']);
pest()->extend(FeatureTestCase::class)->in(...[...$rooms, 'Architecture/WordingTest.php']);

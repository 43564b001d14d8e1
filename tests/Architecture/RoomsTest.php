<?php

declare(strict_types=1);

arch('core knows nobody')
    ->expect('Ustrel\Core')
    ->toOnlyUse(['Ustrel\Core', 'InvalidArgumentException']);

arch('core is free of clock, I/O and hidden randomness')
    ->expect(['time', 'date', 'microtime', 'hrtime', 'rand', 'mt_rand', 'random_int', 'file_get_contents', 'fopen', 'getenv'])
    ->not->toBeUsedIn('Ustrel\Core');

arch('strict types and closed classes everywhere')
    ->expect(['Ustrel\Core', 'App'])
    ->toUseStrictTypes()
    ->classes()->toBeFinal()->ignoring('App\Http\Controllers\Controller');

arch('the web is the outermost room')
    ->expect('App\Http')
    ->not->toBeUsedIn(['App\Models', 'App\Actions', 'App\Queries', 'App\Projections', 'App\Exports', 'App\Policies']);

arch('models only keep')
    ->expect('App\Models')
    ->not->toUse(['App\Actions', 'App\Queries', 'App\Projections']);

arch('no left-overs')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'exit'])
    ->not->toBeUsed();

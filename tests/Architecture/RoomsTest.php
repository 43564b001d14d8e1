<?php

declare(strict_types=1);

arch('core knows nobody')
    ->expect('Ustrel\Core')
    ->toOnlyUse(['Ustrel\Core', 'InvalidArgumentException', 'DateTimeImmutable', 'DateTimeZone']);

arch('strict types and closed classes everywhere')
    ->expect(['Ustrel\Core', 'App'])
    ->toUseStrictTypes()
    ->classes()->toBeFinal()->ignoring(['App\Http\Controller', 'App\Http\Api\Schema', 'App\Http\Api\Input', 'Ustrel\Core\CoreException', 'Ustrel\Core\Measure\UnreadableLine', 'Ustrel\Core\Unit\Key']);

const ROOMS = ['Today', 'Find', 'Yard', 'People', 'Spec', 'Walk', 'Parts', 'Opener', 'Wear', 'Field', 'Season', 'Plan', 'Work', 'Bench'];

/** The web is the outermost layer of each room: nobody but the web reaches into it. */
foreach ([...ROOMS, 'Walk\\Board'] as $room) {
    arch("the web of {$room} is for the web alone")
        ->expect("App\\{$room}\\Http")
        ->toOnlyBeUsedIn(['App\Http', 'App\Record\Http', 'App\Record\Import\Http', 'App\Walk\Board\Http', ...array_map(static fn (string $one): string => "App\\{$one}\\Http", ROOMS)]);
}

arch('models only keep')
    ->expect('App\Models')
    ->not->toUse(['App\Record', ...array_map(static fn (string $room): string => "App\\{$room}", ROOMS)]);

arch('no left-overs')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'exit'])
    ->not->toBeUsed();

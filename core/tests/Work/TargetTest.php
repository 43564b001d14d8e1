<?php

declare(strict_types=1);

use Ustrel\Core\Plan\Action;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Work\Target;

it('reads the key that it writes', function (Target $target, string $key): void {
    expect($target->key())->toBe($key)->and(Target::tryFrom($key))->toEqual($target);
})->with([
    [fn () => Target::off(3, 'gauge_wheel', Side::Left), 'off:3:gauge_wheel:left'],
    [fn () => Target::lock(0), 'off:0:lock:centre'],
    [fn () => Target::job(Action::Change, 16, 'opener_blade', Side::Right), 'change:16:opener_blade:right'],
    [fn () => Target::own(0, '01979f00-0000-7000-8000-000000000001'), 'own:0:01979f00-0000-7000-8000-000000000001:centre'],
    [fn () => Target::lubrication('hitch'), 'grease:0:hitch:centre'],
]);

it('is none where a part is missing, unknown or more', function (string $key): void {
    expect(Target::tryFrom($key))->toBeNull();
})->with(['', 'off', 'off:3:gauge_wheel', 'off:3:gauge_wheel:left:1', 'off:3:gauge_wheel:up', 'eat:3:gauge_wheel:left', 'off:x:gauge_wheel:left', 'off:3::left', "off:3:gauge_wheel:left\n"]);

it('tells what makes the planter safe from the rest', function (): void {
    expect(Target::tryFrom('off:3:lock:centre')?->isLock())->toBeTrue()
        ->and(Target::tryFrom('own:3:lock:centre')?->isLock())->toBeFalse()
        ->and(Target::off(3, 'scraper', Side::Left)->isLock())->toBeFalse();
});

it('is of one kind on all rows and sides', function (): void {
    expect(Target::tryFrom('change:3:opener_blade:left')?->kind())->toBe('change:opener_blade')
        ->and(Target::tryFrom('change:9:opener_blade:right')?->kind())->toBe('change:opener_blade');
});

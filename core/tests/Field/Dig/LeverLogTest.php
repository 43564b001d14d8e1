<?php

declare(strict_types=1);

use Ustrel\Core\Field\Dig\Lever;
use Ustrel\Core\Field\Dig\LeverLog;
use Ustrel\Core\Measure\Moment;

it('knows how levers stood, and by how much they were moved', function (): void {
    $at = static fn (string $time): Moment => Moment::of("2026-04-20T{$time}:00.000Z");
    $log = new LeverLog([
        [$at('06:00'), 3, Lever::Notch, 4.5], [$at('06:00'), 4, Lever::Notch, 5.0], [$at('08:00'), 0, Lever::Speed, 5.0], [$at('08:10'), 3, Lever::Notch, 6.0], [$at('08:20'), 0, Lever::Speed, 4.0], [$at('08:30'), 0, Lever::Notch, 7.0], [$at('08:40'), 3, Lever::Pound, 180.0],
    ]);
    expect($log->stands(3, $at('07:00')))->toBe(['notch' => 4.5])->and($log->stands(3, $at('08:10')))->toBe(['notch' => 6.0, 'speed' => 5.0])->and($log->stands(4, $at('08:10')))->toBe(['notch' => 5.0, 'speed' => 5.0])
        ->and($log->stands(9, $at('08:10')))->toBe(['speed' => 5.0])
        // Set on all rows it goes over what the row was set to; a lever that was not known before tells nothing of how far it went.
        ->and($log->moved(3, $at('08:10'), $at('08:45')))->toBe(['notch' => 1.0, 'speed' => -1.0])->and($log->moved(4, $at('08:10'), $at('08:25')))->toBe(['notch' => 0.0, 'speed' => -1.0])
        ->and($log->moved(9, $at('07:00'), $at('08:45')))->toBe([]);
});

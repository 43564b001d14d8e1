<?php

declare(strict_types=1);

namespace App\Spec\Http;

use Ustrel\Core\Spec\Threads;

/** How the opener blades are bolted on, as it stands beside a spec sheet's name. */
final class ThreadsShape
{
    /** @return array{left_hand_thread: string|null, torque: string} */
    public static function of(Threads $threads): array
    {
        return ['left_hand_thread' => $threads->leftHand?->value, 'torque' => $threads->torque];
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

use Ustrel\Core\Field\Diagnosis\Symptom;

enum AlarmKind: string
{
    /** Off its own past and the other rows, little by little or at once. */
    case Drift = 'drift';

    /** Less than half of what the other rows bring. */
    case Low = 'low';

    /** As good as nothing. */
    case Stopped = 'stopped';

    /** The sensor says nothing any more. */
    case Silent = 'silent';

    /** The sensor says the same whatever the others do. */
    case Stuck = 'stuck';

    /** The sensor says what cannot be. */
    case Jumps = 'jumps';

    /**
     * What it is to who looks for the cause.
     *
     * @param  1|-1  $direction
     */
    public function symptom(Watched $of, int $direction): Symptom
    {
        return match (true) {
            $this->isSensor() => Symptom::CountLow,
            $of === Watched::Skips => Symptom::Skips,
            $of === Watched::Doubles => Symptom::Doubles,
            $of === Watched::Downforce => $direction < 0 ? Symptom::Shallow : Symptom::Smeared,
            $of === Watched::Flow => Symptom::PaleStreak,
            $this === self::Stopped => Symptom::Dead,
            default => $direction < 0 ? Symptom::Skips : Symptom::Doubles,
        };
    }

    /** What is amiss is the sensor or its wire, as far as can be told. */
    public function isSensor(): bool
    {
        return $this === self::Silent || $this === self::Stuck || $this === self::Jumps;
    }
}

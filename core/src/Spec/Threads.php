<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** How the opener blades are bolted on. */
final readonly class Threads
{
    public const LONGEST_TORQUE = 60;

    public function __construct(
        /** The side whose thread is left-hand, so that both tighten in the direction the blade turns; null where nobody has said. */
        public ?Side $leftHand,
        /** As the manual writes it, such as 120 ft lb; empty: see the manual. */
        public string $torque,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Measure\Moment;

/** A part came out and nothing went in. */
final readonly class Removed
{
    /**
     * @param  string  $id  of the event
     * @param  string  $fitting  the fitting that it ends
     */
    public function __construct(
        public string $id,
        public string $fitting,
        public Moment $at,
        public RemovalReason $reason,
    ) {
    }
}

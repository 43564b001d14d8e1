<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

/** A part came out and nothing went in. */
final readonly class Removed
{
    /**
     * @param  string  $id  of the event
     * @param  string  $fitting  the fitting that it ends
     * @param  string  $at  ISO 8601 in UTC
     */
    public function __construct(
        public string $id,
        public string $fitting,
        public string $at,
        public RemovalReason $reason,
    ) {
    }
}

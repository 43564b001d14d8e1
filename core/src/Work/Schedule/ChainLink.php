<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

/** A task of the critical chain, and why it does not begin earlier. */
final readonly class ChainLink
{
    public function __construct(
        public string $task,
        public LinkCause $cause,
    ) {
    }
}

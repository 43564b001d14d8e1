<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Unit\Condition;

/** What has to come off, or be made safe, before hands reach what is to be done; its minutes are those of off and on again. */
final readonly class AccessStep
{
    /** @param  list<string>  $needs  other steps by name, those that they need among them */
    public function __construct(
        public string $name,
        public Span $per,
        public float $minutes,
        public array $needs,
        /** Where there is something to take off. */
        public Condition $with = new Condition([[]]),
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\Measure\Moment;

/** A part was fitted. Whatever was in the slot came out; wherever the part was before, it left. */
final readonly class Fitted
{
    /**
     * @param  string  $id  of the event, and of the fitting that it begins
     * @param  string  $part  names the piece itself, wherever it goes
     * @param  RemovalReason  $oldOne  why the part that was in the slot came out
     */
    public function __construct(
        public string $id,
        public SlotPlace $place,
        public string $part,
        public Moment $at,
        public RemovalReason $oldOne = RemovalReason::Other,
    ) {
    }
}

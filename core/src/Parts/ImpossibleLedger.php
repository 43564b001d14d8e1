<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use Ustrel\Core\CoreException;
use Ustrel\Core\Measure\Moment;

/** Events that cannot all be true. */
final class ImpossibleLedger extends CoreException
{
    private function __construct(
        public readonly LedgerFaultCode $fault,
        /** The event that does not fit. */
        public readonly string $event,
        public readonly ?SlotPlace $place,
        /** When the other thing happened that it does not go with. */
        public readonly ?Moment $other,
    ) {
        parent::__construct("{$fault->value}: {$event}");
    }

    public static function at(LedgerFaultCode $fault, string $event, ?SlotPlace $place = null, ?Moment $other = null): self
    {
        return new self($fault, $event, $place, $other);
    }
}

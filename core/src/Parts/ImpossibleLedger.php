<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

use InvalidArgumentException;

/** Events that cannot all be true. */
final class ImpossibleLedger extends InvalidArgumentException
{
    private function __construct(
        public readonly LedgerFaultCode $fault,
        /** The event that does not fit. */
        public readonly string $event,
        public readonly ?SlotPlace $place,
        /** ISO 8601; when the other thing happened that it does not go with. */
        public readonly ?string $other,
    ) {
        parent::__construct("{$fault->value}: {$event}");
    }

    public static function at(LedgerFaultCode $fault, string $event, ?SlotPlace $place = null, ?string $other = null): self
    {
        return new self($fault, $event, $place, $other);
    }
}

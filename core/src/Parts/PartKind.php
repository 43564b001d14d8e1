<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts;

/** What of a part type decides with which others it goes. */
final readonly class PartKind
{
    public function __construct(
        /** An opener blade of the heavier kind, with large rivets. */
        public bool $heavy = false,
        /** A seed tube guard with clearance for large rivets. */
        public bool $clearance = false,
    ) {
    }
}

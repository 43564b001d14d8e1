<?php

declare(strict_types=1);

namespace App\Opener;

use Ustrel\Core\Opener\ShimAdvice;
use Ustrel\Core\Wear\Sighting;

/** The contact of one row's blades. */
final readonly class RowContact
{
    public function __construct(
        public int $row,
        /** Null where it was not measured since it was last set. */
        public ?Sighting $contact,
        /** Inner shims; null where nobody counted. */
        public ?int $left,
        public ?int $right,
        /** Shims were moved or blades changed, and the contact was not measured since. */
        public bool $moved,
        public ?ShimAdvice $advice,
    ) {
    }
}

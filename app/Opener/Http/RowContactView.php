<?php

declare(strict_types=1);

namespace App\Opener\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Measure\Moment;

final readonly class RowContactView extends Schema
{
    public function __construct(
        public int $row,
        /** Null where it was not measured since it was last set */
        public ?float $contact_mm,
        public ?Moment $taken_at,
        /** Inner shims, as counted and moved since; null where nobody counted */
        public ?int $shims_left,
        public ?int $shims_right,
        /** Shims were moved or blades changed, and the contact was not measured since */
        public bool $moved,
        public ?ShimAdviceView $advice,
    ) {
    }
}

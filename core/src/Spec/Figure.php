<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Quantity;

/** A spec sheet's number with the note that says where it comes from. */
final readonly class Figure
{
    public function __construct(
        public Quantity $quantity,
        /** As it stands in the sheet, with its unit. */
        public string $typed,
        public string $source,
    ) {
    }
}

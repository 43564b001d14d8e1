<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;

/** A spec sheet's number with the note that says where it comes from. */
final readonly class Figure
{
    public function __construct(
        public Length $length,
        public string $source,
    ) {
    }
}

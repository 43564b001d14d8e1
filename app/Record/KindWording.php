<?php

declare(strict_types=1);

namespace App\Record;

/** Codes of what is said of any event of a kind. */
final readonly class KindWording
{
    public function __construct(
        public string $noItem,
        public string $gone = '',
    ) {
    }
}

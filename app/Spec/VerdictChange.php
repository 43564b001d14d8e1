<?php

declare(strict_types=1);

namespace App\Spec;

/** One place of an open walk that other figures would judge otherwise. */
final readonly class VerdictChange
{
    public function __construct(
        public string $planter,
        public int $row,
        public string $check,
        public string $side,
        public string $from,
        public string $to,
    ) {
    }
}

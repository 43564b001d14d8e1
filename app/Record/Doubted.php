<?php

declare(strict_types=1);

namespace App\Record;

use RuntimeException;

/** Something hard to believe: it is asked about once before it is kept. */
final class Doubted extends RuntimeException
{
    /** @param  non-empty-list<array{code: string, ref: float|null, unit: string|null}>  $doubts */
    public function __construct(public readonly array $doubts)
    {
        parent::__construct('Hard to believe');
    }
}

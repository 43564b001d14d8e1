<?php

declare(strict_types=1);

namespace App\Record;

use RuntimeException;

/** Ends a change that was only to be tried, and carries out what it said. */
final class TakenBack extends RuntimeException
{
    public function __construct(public readonly mixed $said)
    {
        parent::__construct('Only tried');
    }
}

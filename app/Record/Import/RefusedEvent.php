<?php

declare(strict_types=1);

namespace App\Record\Import;

use RuntimeException;

/** An event that cannot be true together with the rest of the record. */
final class RefusedEvent extends RuntimeException
{
    public function __construct(public readonly string $event, string $message)
    {
        parent::__construct($message);
    }
}

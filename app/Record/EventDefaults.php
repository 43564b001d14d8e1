<?php

declare(strict_types=1);

namespace App\Record;

/** As it is with most kinds: taken back by a flag, and reckoned with when it is asked for. */
trait EventDefaults
{
    /** @param  array<string, mixed>  $row */
    public function takesBack(array $row): bool
    {
        return $row['withdrawn'] ?? false;
    }

    public function affect(array $rows, array $superseded, Affected $affected): void
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Backup;

use RuntimeException;

/** A backup could not be written or taken back; the message is for whoever keeps the installation. */
final class BackupFailed extends RuntimeException
{
    /** @param  array<string, string|int>  $fill */
    public static function because(string $code, array $fill = []): self
    {
        return new self(__("backup.{$code}", $fill));
    }
}

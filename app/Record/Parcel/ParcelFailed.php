<?php

declare(strict_types=1);

namespace App\Record\Parcel;

use RuntimeException;

/** A workshop could not be packed or unpacked; the message is for whoever keeps the installation. */
final class ParcelFailed extends RuntimeException
{
    /** @param  array<string, string|int>  $fill */
    public static function because(string $code, array $fill = []): self
    {
        return new self(__("parcel.{$code}", $fill));
    }
}

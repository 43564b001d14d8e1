<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use DateTimeInterface;

final readonly class NewLinkView extends Schema
{
    public function __construct(
        /** Told this once; only its digest is kept */
        public string $link,
        public DateTimeInterface $expires_at,
    ) {
    }
}

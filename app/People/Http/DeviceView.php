<?php

declare(strict_types=1);

namespace App\People\Http;

use App\Http\Api\Schema;
use DateTimeInterface;

final readonly class DeviceView extends Schema
{
    public function __construct(
        public string $id,
        /** As the browser calls itself */
        public string $agent,
        public string $ip,
        public bool $is_this,
        public DateTimeInterface $last_seen_at,
    ) {
    }
}

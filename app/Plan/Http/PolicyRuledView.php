<?php

declare(strict_types=1);

namespace App\Plan\Http;

use App\Http\Api\Schema;
use DateTimeInterface;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Plan\Policy\Strategy;

final readonly class PolicyRuledView extends Schema
{
    public function __construct(
        public Strategy $school,
        public ?Slot $slot,
        public DateTimeInterface $happened_at,
        public string $by,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;

final readonly class CrewMemberView extends Schema
{
    public function __construct(
        public string $name,
        /** @var list<float> From Monday to Sunday, 0 to 24 */
        public array $hours,
    ) {
    }
}

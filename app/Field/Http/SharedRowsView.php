<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Field\Watch\GroupKind;

final readonly class SharedRowsView extends Schema
{
    public function __construct(
        public GroupKind $kind,
        public string $name,
        /** @var list<int> Two or more */
        public array $rows,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

final readonly class CauseLookView extends Schema
{
    public function __construct(
        /** It is made once for the whole planter */
        public bool $of_planter,
        public CheckKey $check,
        public Side $side,
        /** It is measured; else its condition is looked at */
        public bool $figure,
    ) {
    }
}

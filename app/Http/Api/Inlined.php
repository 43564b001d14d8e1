<?php

declare(strict_types=1);

namespace App\Http\Api;

use Attribute;

/** The fields of this one stand among those of the schema that has it; all of them are there. */
#[Attribute(Attribute::TARGET_PROPERTY)]
final readonly class Inlined
{
}

<?php

declare(strict_types=1);

namespace App\Http\Api;

use Attribute;

/** A field that an answer leaves out where there is nothing to say, because there are thousands of it. */
#[Attribute(Attribute::TARGET_PROPERTY)]
final readonly class OmittedWhenNull
{
}

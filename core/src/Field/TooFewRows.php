<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

use Ustrel\Core\CoreException;

/** Rows cannot be held against each other. */
final class TooFewRows extends CoreException
{
    public static function of(int $rows): self
    {
        return new self("{$rows} rows cannot be compared");
    }
}

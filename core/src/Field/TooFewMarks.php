<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

use Ustrel\Core\CoreException;

/** A line from scale mark to depth needs digs at two different marks, and depths that differ. */
final class TooFewMarks extends CoreException
{
    public static function of(int $marks): self
    {
        return new self("digs at {$marks} different marks tell no line; it takes two");
    }

    public static function withoutEffect(): self
    {
        return new self('the depth is the same at all marks');
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Emergence;

use Ustrel\Core\CoreException;

final class InvalidStand extends CoreException
{
    public static function count(): self
    {
        return new self('Plants are counted from 0 on, on a length of row over 0, at or after planting.');
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

use Ustrel\Core\CoreException;

final class InvalidRun extends CoreException
{
    public static function share(): self
    {
        return new self('A share is of one or more, and counts from none of them to all.');
    }

    public static function counts(): self
    {
        return new self('A run has 1 seed or more that should have dropped, and no more skips and doubles together than these.');
    }

    public static function shares(): self
    {
        return new self('Two shares that are told apart lie between 0 and 1 and are not the same.');
    }
}

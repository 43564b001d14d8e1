<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\CoreException;

final class InvalidDig extends CoreException
{
    public static function empty(): self
    {
        return new self('A dig has the depth of one seed at least, or two spacings.');
    }

    public static function figures(): self
    {
        return new self('Depths and spacings are over 0.');
    }
}

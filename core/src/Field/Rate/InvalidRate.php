<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

use Ustrel\Core\CoreException;

final class InvalidRate extends CoreException
{
    public static function band(float $low, float $high): self
    {
        return new self("A band goes from under 0 to over 0, by less than a half each way: {$low} to {$high}.");
    }

    public static function spacings(): self
    {
        return new self('A rate takes two spacings at least, all over 0, and the spacing that is set.');
    }
}

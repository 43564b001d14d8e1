<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear;

use Ustrel\Core\CoreException;

/** A chance lies between 0 and 1. */
final class ImpossibleChance extends CoreException
{
    public static function of(float $chance): self
    {
        return new self("{$chance} is no chance between 0 and 1");
    }
}

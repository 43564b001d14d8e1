<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

use Ustrel\Core\CoreException;
use Ustrel\Core\Measure\Length;

/** The two points of a level have to lie further apart than their heights differ. */
final class PointsTooClose extends CoreException
{
    public static function of(Length $span): self
    {
        return new self("Two points {$span->toMillimetres()} mm apart cannot differ as much in height");
    }
}

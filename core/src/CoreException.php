<?php

declare(strict_types=1);

namespace Ustrel\Core;

use InvalidArgumentException;

/** The root of everything that core throws: something that was said cannot be so. */
abstract class CoreException extends InvalidArgumentException
{
}

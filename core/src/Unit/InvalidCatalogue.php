<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\CoreException;

/** A catalogue of assemblies that cannot be read. */
final class InvalidCatalogue extends CoreException
{
    public static function shape(string $of): self
    {
        return new self("{$of} in core/units does not have the shape that docs/formats.md gives.");
    }

    public static function unknown(string $of, string $what): self
    {
        return new self("{$of} in core/units names {$what}, which is not there.");
    }

    public static function twice(string $of): self
    {
        return new self("{$of} stands twice in core/units.");
    }
}

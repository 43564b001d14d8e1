<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

use Ustrel\Core\CoreException;

final class InvalidTable extends CoreException
{
    public static function of(string $what): self
    {
        return new self("The table of causes: {$what}.");
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Unit;

use Ustrel\Core\Spec\Equipment;

/** Assemblies that do not go together. Worded under `contradiction.<code>`. */
final readonly class Contradiction
{
    public function __construct(public string $code, private Condition $if, private Condition $then)
    {
    }

    public function isIn(Equipment $equipment): bool
    {
        return $this->if->holds($equipment) && ! $this->then->holds($equipment);
    }
}

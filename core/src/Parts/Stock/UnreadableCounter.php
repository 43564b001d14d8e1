<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

use Ustrel\Core\CoreException;

final class UnreadableCounter extends CoreException
{
    /** @param  string  $about  the part's number, or the currency; empty where it is the whole answer */
    public function __construct(public readonly CounterFault $fault, public readonly string $about = '')
    {
        parent::__construct("{$fault->value} {$about}");
    }
}

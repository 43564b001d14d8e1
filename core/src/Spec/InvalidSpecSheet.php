<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\CoreException;

/** Thrown where a spec sheet cannot be judged by; names every fault, not only the first. */
final class InvalidSpecSheet extends CoreException
{
    /** @param  non-empty-list<SpecFault>  $faults */
    private function __construct(public readonly array $faults)
    {
        $named = array_map(static fn (SpecFault $fault): string => "{$fault->path}: {$fault->wordKey}", $faults);
        parent::__construct('Spec sheet not usable: '.implode('; ', $named));
    }

    /** @param  non-empty-list<SpecFault>  $faults */
    public static function because(array $faults): self
    {
        return new self($faults);
    }
}

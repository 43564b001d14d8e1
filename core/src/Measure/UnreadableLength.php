<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use Ustrel\Core\CoreException;

/** Thrown where something typed is not a length; says which fault it has and what was typed. */
final class UnreadableLength extends CoreException implements Unreadable
{
    private function __construct(
        public readonly LengthFault $fault,
        public readonly string $typed,
    ) {
        parent::__construct("Unreadable length \"{$typed}\": {$fault->value}");
    }

    public static function of(string $typed, LengthFault $fault): self
    {
        return new self($fault, $typed);
    }

    public function wordKey(): string
    {
        return "length.{$this->fault->value}";
    }

    public function typed(): string
    {
        return $this->typed;
    }
}

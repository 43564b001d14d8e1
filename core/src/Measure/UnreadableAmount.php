<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use Ustrel\Core\CoreException;

/** Thrown where a typed amount cannot be read. */
final class UnreadableAmount extends CoreException implements Unreadable
{
    private function __construct(
        public readonly string $typed,
        public readonly AmountFault $fault,
        public readonly Unit $unit,
    ) {
        parent::__construct("\"{$typed}\" is not an amount in {$unit->value}: {$fault->value}");
    }

    public static function of(string $typed, AmountFault $fault, Unit $unit): self
    {
        return new self($typed, $fault, $unit);
    }

    public function wordKey(): string
    {
        return "amount.{$this->fault->value}";
    }

    public function typed(): string
    {
        return $this->typed;
    }
}

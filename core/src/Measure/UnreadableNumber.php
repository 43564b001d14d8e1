<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use Ustrel\Core\CoreException;

/** Thrown where something typed is not the number that was asked for. */
final class UnreadableNumber extends CoreException implements Unreadable
{
    /** @param  array<string, string>  $fill  for the wording: the readings, the range, the units that are known */
    private function __construct(
        public readonly NumberFault $fault,
        private readonly string $typed,
        private readonly array $fill,
    ) {
        parent::__construct("Unreadable number \"{$typed}\": {$fault->value}");
    }

    /** @param  array<string, string>  $fill */
    public static function of(string $typed, NumberFault $fault, array $fill = []): self
    {
        return new self($fault, $typed, $fill);
    }

    /** Whether it does not even look like a number of that unit: whoever asks for more than a number has better words for that. */
    public function isNoNumber(): bool
    {
        return in_array($this->fault, [NumberFault::Empty, NumberFault::NotANumber, NumberFault::UnknownUnit, NumberFault::NoUnit], true);
    }

    public function wordKey(): string
    {
        return "number.{$this->fault->value}";
    }

    public function typed(): string
    {
        return $this->typed;
    }

    public function fill(): array
    {
        return ['typed' => $this->typed] + $this->fill;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

use Ustrel\Core\CoreException;

/** Something that was told as one line and cannot be read: what is wrong with it, as it is worded, and the part that is. */
abstract class UnreadableLine extends CoreException
{
    final private function __construct(
        public readonly string $fault,
        public readonly string $typed,
        /** Where it is a number that cannot be read; it has a wording of its own. */
        public readonly ?UnreadableNumber $number = null,
    ) {
        parent::__construct("{$fault}: {$typed}");
    }

    public static function because(string $fault, string $typed): static
    {
        return new static($fault, $typed);
    }

    public static function number(UnreadableNumber $number): static
    {
        return new static('number', $number->typed(), $number);
    }
}

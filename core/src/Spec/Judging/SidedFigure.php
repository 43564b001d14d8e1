<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** A figure as typed with the side that it is off to: 1/4 L, 6 mm right. */
final readonly class SidedFigure
{
    private function __construct(
        /** What was typed without the side. */
        public string $figure,
        /** Null where no side was said. */
        public ?Chip $side,
    ) {
    }

    public static function read(string $typed): self
    {
        if (preg_match('/^(|.*?[\d"\'\s])\s*(l|left|r|right)\.?\s*$/i', $typed, $found) !== 1) {
            return new self($typed, null);
        }

        return new self(rtrim($found[1]), strtolower($found[2][0]) === 'l' ? Chip::OffLeft : Chip::OffRight);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** The side of a row unit as seen from behind; centre where a check has no sides. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';
    case Centre = 'centre';

    /** The other side; null in the centre. */
    public function opposite(): ?self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            self::Centre => null,
        };
    }
}

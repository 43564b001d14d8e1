<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** How much of the last crop lies on the ground. */
enum Residue: string
{
    case Bare = 'bare';
    case Usual = 'usual';
    case Heavy = 'heavy';

    /** Typical value: how fast parts wear in it, to the usual. */
    public function factor(): float
    {
        return match ($this) {
            self::Bare => 0.95,
            self::Usual => 1.0,
            self::Heavy => 1.1,
        };
    }

    /** As it is said in a line; null where it is none. */
    public static function told(string $word): ?self
    {
        return match (strtr(mb_strtolower($word), '-', ' ')) {
            'bare' => self::Bare,
            'usual residue' => self::Usual,
            'heavy residue' => self::Heavy,
            default => null,
        };
    }
}

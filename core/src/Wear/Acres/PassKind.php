<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

/** What a pass over a field was for. Only planting wears row units and counts as planted. Worded under `pass.<value>`. */
enum PassKind: string
{
    case Planting = 'planting';
    case Products = 'products';

    /** `products only`, `no seed`, `fertilizer only`; null where a part of a line says nothing of it. */
    public static function told(string $part): ?self
    {
        return preg_match('/^(?:(?:products?|fertilizer|liquid|starter|spray) only|no seed|without seed)$/iu', trim($part)) === 1 ? self::Products : null;
    }
}

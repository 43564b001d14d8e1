<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

/** How products go on: the words are what is typed. */
enum RateUnit: string
{
    case GallonsAnAcre = 'gal/ac';
    case PoundsAnAcre = 'lb/ac';
    case OuncesAnAcre = 'oz/ac';
    case LitresAHectare = 'l/ha';
    case KilogramsAHectare = 'kg/ha';
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/** What a furrow looks like where it was dug: domain, 8 and 15. Worded under `dig_sign.<value>`. */
enum DigSign: string
{
    /** A V, as it should be. */
    case V = 'v';
    /** A ridge in the bottom. */
    case W = 'w';
    case Open = 'open';
    case Smeared = 'smeared';
    case DrySoil = 'dry_soil';
    case Residue = 'residue';
    case OffCentre = 'off_centre';
    case RootsFlat = 'roots_flat';
}

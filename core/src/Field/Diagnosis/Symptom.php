<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

/** What is seen on a row that is not as it should be: domain, 8. Worded under `symptom.<value>`. */
enum Symptom: string
{
    case Shallow = 'shallow';
    case Deep = 'deep';
    case Varies = 'varies';
    case W = 'w';
    case DrySoil = 'dry_soil';
    case Residue = 'residue';
    case Open = 'open';
    case Smeared = 'smeared';
    case RootsFlat = 'roots_flat';
    case OffCentre = 'off_centre';
    case Skips = 'skips';
    case Doubles = 'doubles';
    case Periodic = 'periodic';
    case SpacingPoor = 'spacing_poor';
    case Dead = 'dead';
    case CountLow = 'count_low';
    case PaleStreak = 'pale_streak';
    /** Plants, against the other rows. */
    case Thin = 'thin';
    /** Came up later than the other rows, or one plant after the other. */
    case Late = 'late';
    /** Whatever it is, the other rows have it too. */
    case AllRows = 'all_rows';
    case HalfRows = 'half_rows';

    /** Whoever has seen it says so: where it was not said it is not so. */
    public function isSaid(): bool
    {
        return $this === self::AllRows || $this === self::HalfRows;
    }
}

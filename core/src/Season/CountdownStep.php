<?php

declare(strict_types=1);

namespace Ustrel\Core\Season;

/** What has to be ready before planting, in the order of the job. Worded under `countdown.<value>`. */
enum CountdownStep: string
{
    /** Seed is here, or promised. */
    case Seed = 'seed';
    /** It was held against the discs or plates that are to plant it. */
    case SeedFits = 'seed_fits';
    case Walk = 'walk';
    case Decisions = 'decisions';
    case PartsOrdered = 'parts_ordered';
    case PartsHere = 'parts_here';
    case Work = 'work';
    case Meters = 'meters';
    case Level = 'level';
    case Monitor = 'monitor';
    case FirstPass = 'first_pass';
}

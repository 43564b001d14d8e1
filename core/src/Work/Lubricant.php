<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

/** What a point is lubricated with. Worded under `lube_with.<value>`. */
enum Lubricant: string
{
    case Dry = 'dry';
    case Grease = 'grease';
    case AntiSeize = 'anti_seize';
    case Penetrating = 'penetrating';
}

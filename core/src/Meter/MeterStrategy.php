<?php

declare(strict_types=1);

namespace Ustrel\Core\Meter;

/** When a meter is due on the stand. */
enum MeterStrategy: string
{
    /** After so many seasons as the spec sheet says, with a look between. */
    case Seasons = 'seasons';

    /** Each season anew, for each size of seed that will be planted. */
    case EverySize = 'every_size';
}

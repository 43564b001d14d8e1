<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** Why a reading is asked about once before it is kept. Worded under `doubt.<value>` in lang/en. */
enum DoubtCode: string
{
    case LargerThanNew = 'larger_than_new';
    case GrownSinceLast = 'grown_since_last';
    case ShrunkSinceLast = 'shrunk_since_last';
    case FarFromRows = 'far_from_rows';
}

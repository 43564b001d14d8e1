<?php

declare(strict_types=1);

namespace Ustrel\Core\Field;

/** What a shop does about rows whose depth stops do not lift alike. Worded under `depth_school.<value>`. */
enum DepthStrategy: string
{
    /** The handle carries the difference: such a row is set higher or lower than the rest, for good. */
    case Handle = 'handle';
    /** The stop has a scale of its own that is set right, and is measured again. */
    case Reindex = 'reindex';
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Wear\Acres;

use Ustrel\Core\Measure\UnreadableLine;

/** A line of acres that cannot be read. Worded under `acres_line.<fault>`. */
final class UnreadableAcresLine extends UnreadableLine
{
}

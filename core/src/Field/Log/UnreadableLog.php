<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

use Ustrel\Core\Measure\UnreadableLine;

/** What is said of a field beside its acres and cannot be read. Worded under `acres.<fault>`. */
final class UnreadableLog extends UnreadableLine
{
}

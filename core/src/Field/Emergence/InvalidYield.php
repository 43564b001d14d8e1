<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Emergence;

use Ustrel\Core\Measure\UnreadableLine;

/** What is no yield curve. Worded under `yield.<fault>`. */
final class InvalidYield extends UnreadableLine
{
}

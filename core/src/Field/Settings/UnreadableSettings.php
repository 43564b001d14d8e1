<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Measure\UnreadableLine;

/** A line of settings that cannot be read. Worded under `setting_line.<fault>`. */
final class UnreadableSettings extends UnreadableLine
{
}

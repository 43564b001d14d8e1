<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\CoreException;

/** A line of settings that cannot be read. Worded under `setting_line.<fault>`. */
final class UnreadableSettings extends CoreException
{
    private function __construct(
        public readonly string $fault,
        public readonly string $typed,
    ) {
        parent::__construct("{$fault}: {$typed}");
    }

    public static function because(string $fault, string $typed): self
    {
        return new self($fault, $typed);
    }
}

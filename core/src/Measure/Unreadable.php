<?php

declare(strict_types=1);

namespace Ustrel\Core\Measure;

/** Something typed that is not what was asked for. */
interface Unreadable
{
    /** The key of its wording in lang/en. */
    public function wordKey(): string;

    public function typed(): string;

    /** @return array<string, string> what its wording is filled with, `typed` among it */
    public function fill(): array;
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Unreadable;

/** One thing wrong with a spec sheet. */
final readonly class SpecFault
{
    private function __construct(
        /** Where it stands in the sheet, as `opener_blade_diameter.limit`. */
        public string $path,
        /** The key of its wording in lang/en. */
        public string $wordKey,
        /** @var array<string, string> what the wording is filled with */
        public array $fill = ['typed' => ''],
    ) {
    }

    public static function at(string $path, string $code): self
    {
        return new self($path, "spec.{$code}");
    }

    public static function unreadable(string $path, Unreadable $unreadable): self
    {
        return new self($path, $unreadable->wordKey(), $unreadable->fill());
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\LengthFault;

/** One thing wrong with a spec sheet. The wording of each code is under `spec.<code>` in lang/en.json. */
final readonly class SpecFault
{
    private function __construct(
        /** Where it stands in the sheet, as `opener_blade_diameter.limit`. */
        public string $path,
        public string $code,
        public ?LengthFault $length = null,
        public string $typed = '',
    ) {
    }

    public static function at(string $path, string $code): self
    {
        return new self($path, $code);
    }

    public static function unreadable(string $path, LengthFault $fault, string $typed): self
    {
        return new self($path, 'unreadable', $fault, $typed);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** A row-unit type's numbers: which checks it has and by which figures they are judged. */
final readonly class SpecSheet
{
    /**
     * @param  non-empty-array<string, Check>  $checks  by check key, in row-unit order
     * @param  Figure  $notch  how far one notch of the depth stop moves the gauge wheels
     */
    public function __construct(
        public RowUnitType $type,
        public array $checks,
        public Figure $notch,
    ) {
    }

    public function check(CheckKey $key): ?Check
    {
        return $this->checks[$key->value] ?? null;
    }

    /** How many readings one row takes. */
    public function placesPerRow(): int
    {
        return array_sum(array_map(static fn (Check $check): int => count($check->sides), $this->checks));
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Calc;

/** Sprockets as they are put in: pairs of driver and driven teeth, one pair a stage. */
final readonly class SprocketSet
{
    /** @param  non-empty-list<array{int, int}>  $stages  driver and driven teeth */
    public function __construct(public array $stages)
    {
    }

    public function ratio(): float
    {
        return array_product(array_column($this->stages, 0)) / array_product(array_column($this->stages, 1));
    }

    /**
     * How few sprockets have to be changed to come here from what is in now, and which.
     *
     * @return list<array{int, 'driver'|'driven', int, int}> stage from 1 on, which of its two, teeth now and then
     */
    public function changesFrom(self $now): array
    {
        $changes = [];
        foreach ($this->stages as $at => $stage) {
            foreach (['driver', 'driven'] as $end => $name) {
                if (($now->stages[$at][$end] ?? null) !== $stage[$end]) {
                    $changes[] = [$at + 1, $name, $now->stages[$at][$end] ?? 0, $stage[$end]];
                }
            }
        }

        return $changes;
    }

    public function said(): string
    {
        return implode(', ', array_map(static fn (array $stage): string => "{$stage[0]}/{$stage[1]}", $this->stages));
    }
}

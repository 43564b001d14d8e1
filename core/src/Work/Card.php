<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

use Ustrel\Core\Plan\Jobs\AccessStep;
use Ustrel\Core\Plan\Jobs\Job;
use Ustrel\Core\Plan\Jobs\JobBook;
use Ustrel\Core\Spec\Side;

/** What is ticked on the card of a piece, in the order in which hands come to it: what comes off, then what is done. */
final readonly class Card
{
    /** @param  array<string, list<string>>  $lines  by what is ticked: what is ticked before it */
    private function __construct(public array $lines)
    {
    }

    public static function of(Piece $piece, JobBook $book, JobOrder $order): self
    {
        if ($piece->own !== null) {
            $lock = Target::lock($piece->row)->key();

            return new self([$lock => [], $piece->own->key() => [$lock]]);
        }
        $lines = [];
        $steps = $book->steps($piece->jobs);
        foreach ($steps as [$step, $side]) {
            $before = array_filter($steps, static fn (array $other): bool => self::isBefore($other[0], $other[1], $step, $side));
            $lines[Target::off($piece->row, $step->name, $side)->key()] = self::keys($piece->row, $before);
        }
        $jobs = array_column(array_map(static fn (Job $job): array => [$job->key(), $job], $piece->jobs), 1, 0);
        foreach ($jobs as $key => $job) {
            $lines[$key] = self::keys($piece->row, $book->steps([$job]));
        }
        foreach ($order->pairs($jobs) as [$first, $then]) {
            $lines[$then][] = $first;
        }

        return new self($lines);
    }

    private static function isBefore(AccessStep $other, Side $otherSide, AccessStep $step, Side $side): bool
    {
        $lock = Target::lock(0)->what;
        if ($other->name === $lock) {
            return $step->name !== $lock;
        }

        return in_array($other->name, $step->needs, true) && ($otherSide === $side || $otherSide === Side::Centre || $side === Side::Centre);
    }

    /**
     * @param  array<array{AccessStep, Side}>  $steps
     * @return list<string>
     */
    private static function keys(int $row, array $steps): array
    {
        return array_values(array_map(static fn (array $step): string => Target::off($row, $step[0]->name, $step[1])->key(), $steps));
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

use Ustrel\Core\Measure\Day;

/** What there is to come of one part type, handed out to whoever asks first. */
final class Supply
{
    /** @var list<array{Day|null, int}> when, and how many; what nobody has a date for last */
    private array $coming;

    /**
     * @param  int  $onHand  0 or more
     * @param  list<array{Day|null, int}>  $ordered  when it comes, null where nobody knows; and how many
     * @param  Day|null  $ifOrdered  when it would come if it were ordered today; null where nobody knows
     */
    public function __construct(private int $onHand, array $ordered, private readonly ?Day $ifOrdered)
    {
        usort($ordered, static fn (array $one, array $other): int => [$one[0] === null, $one[0]?->iso] <=> [$other[0] === null, $other[0]?->iso]);
        $this->coming = $ordered;
    }

    /** Whether so many are here. */
    public function has(int $count): bool
    {
        return $this->onHand >= $count;
    }

    public function take(): Arrival
    {
        if ($this->onHand > 0) {
            $this->onHand--;

            return Arrival::here();
        }
        foreach ($this->coming as $at => [$day, $count]) {
            if ($count > 0) {
                $this->coming[$at][1]--;

                return Arrival::ordered($day);
            }
        }

        return Arrival::notOrdered($this->ifOrdered);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\Quantity;

/** What a check was answered with: a figure, or a state with the reasons that were ticked. */
final readonly class Answer
{
    /** @param  list<Chip>  $chips */
    private function __construct(
        public ?Quantity $quantity,
        public ?State $state,
        public array $chips,
    ) {
    }

    /** @param  list<Chip>  $chips  what goes with the figure, such as the side to which it is off */
    public static function figure(Quantity $quantity, array $chips = []): self
    {
        return new self($quantity, null, $chips);
    }

    /** @param  list<Chip>  $chips */
    public static function state(State $state, array $chips = []): self
    {
        return new self(null, $state, $chips);
    }
}

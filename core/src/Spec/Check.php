<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** A check as one row-unit type has it: on which sides, by which figures, judged by which rule. */
final readonly class Check
{
    /**
     * @param  non-empty-list<Side>  $sides
     * @param  array<string, Figure>  $figures  by name: new, limit, margin or low, high, aim, margin
     */
    public function __construct(
        public CheckKey $key,
        public array $sides,
        public array $figures,
        public Rule $rule,
    ) {
    }

    public function has(Side $side): bool
    {
        return in_array($side, $this->sides, true);
    }
}

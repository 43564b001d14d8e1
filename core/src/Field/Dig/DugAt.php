<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/** How deep a row planted on one pass, and how its levers stood. */
final readonly class DugAt
{
    /**
     * @param  float  $depth  mean, millimetres
     * @param  float  $sd  how sure that is, one standard deviation, over 0
     * @param  array<value-of<Lever>, float>  $moved  by how much each lever stands otherwise than when the row was dug first
     */
    public function __construct(
        public int $row,
        public float $depth,
        public float $sd,
        public array $moved,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** Rows of a planter that carry something else than most, or go by the sheet of another row unit. */
final readonly class OtherRows
{
    /**
     * @param  list<int>  $rows  1 to 64
     * @param  Sheet|null  $sheet  null where they go by the planter's
     */
    public function __construct(public array $rows, public Equipment $equipment, public ?Sheet $sheet = null)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Projections;

use Ustrel\Core\Spec\Reason;

/** A reason as it is stored with a cell and handed out by the API: code and figure, to be worded where it is read. */
final class ReasonShape
{
    /** @return array{code: string, ref_mm: float|null} */
    public static function of(Reason $reason): array
    {
        return ['code' => $reason->code->value, 'ref_mm' => $reason->reference?->toMillimetres()];
    }
}

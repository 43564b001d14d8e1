<?php

declare(strict_types=1);

namespace App\Walk;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;

/** A reason as it is stored with a cell and handed out by the API: code and figure, to be worded where it is read. */
final class StoredReason
{
    /** @return array{code: string, ref: float|null, unit: string|null} */
    public static function of(Reason $reason): array
    {
        $code = $reason->code instanceof Chip ? "chip.{$reason->code->value}" : $reason->code->value;

        return self::coded($code, $reason->reference);
    }

    /** @param  array{code: string, ref: float|null, unit: string|null, on?: string}  $kept */
    public static function read(array $kept): Reason
    {
        $code = str_starts_with($kept['code'], 'chip.') ? Chip::from(substr($kept['code'], 5)) : ReasonCode::from($kept['code']);

        return new Reason($code, $kept['ref'] === null || $kept['unit'] === null ? null : Unit::from($kept['unit'])->quantityOf($kept['ref']));
    }

    /** @return array{code: string, ref: float|null, unit: string|null} */
    public static function coded(string $code, ?Quantity $reference): array
    {
        return ['code' => $code, 'ref' => $reference === null ? null : $reference->unit()->valueOf($reference), 'unit' => $reference?->unit()->value];
    }
}

<?php

declare(strict_types=1);

namespace App\Exports;

use App\Queries\CurrentReading;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\LengthPrinter;

/** Puts a reading's reasons into words for print and files, as the client does on the screen. */
final readonly class Wording
{
    public function __construct(private LengthPrinter $printer)
    {
    }

    public function reasons(CurrentReading $reading): string
    {
        return implode(' ', array_map(fn (array $reason): string => $this->reason($reason, $reading->value), $reading->reasons));
    }

    /** @param  array{code: string, ref_mm: float|int|null}  $reason */
    private function reason(array $reason, ?Length $value): string
    {
        $reference = $reason['ref_mm'] === null ? null : Length::ofMillimetres((float) $reason['ref_mm']);

        return __("reason.{$reason['code']}", [
            'ref' => $reference === null ? '' : $this->printer->print($reference),
            'by' => $reference === null || $value === null ? '' : $this->printer->difference($value->minus($reference)),
        ]);
    }
}

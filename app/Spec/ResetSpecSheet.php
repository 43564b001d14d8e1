<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;

/** Puts a workshop's own copy back to the typical figures of its row-unit type; the name stays. */
final readonly class ResetSpecSheet
{
    public function __construct(private ReplaceSheet $replace)
    {
    }

    public function __invoke(SpecSheet $sheet): SpecSheet
    {
        $typical = SpecSheet::query()->whereNull('workshop_id')->where('type', $sheet->type)->firstOrFail();

        return ($this->replace)($sheet, ['sheet' => $typical->sheet], static fn (): SpecSheet => $sheet);
    }
}

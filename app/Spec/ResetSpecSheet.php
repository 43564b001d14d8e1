<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\SpecSheet;
use Ustrel\Core\Spec\CheckKey;

/** Puts a workshop's own copy back to the typical figures of its row-unit type; the name and the checks of its own stay. */
final readonly class ResetSpecSheet
{
    public function __construct(private ReplaceSheet $replace)
    {
    }

    public function __invoke(SpecSheet $sheet): SpecSheet
    {
        $typical = SpecSheet::query()->whereNull('workshop_id')->where('type', $sheet->type)->firstOrFail();

        $ownChecks = static fn (SpecSheet $sheet): array => array_filter($sheet->sheet['checks'], static fn (string $key): bool => CheckKey::tryFrom($key)?->isOwn() === true, ARRAY_FILTER_USE_KEY);

        return ($this->replace)($sheet, static fn (SpecSheet $sheet): array => ['sheet' => ['checks' => $typical->sheet['checks'] + $ownChecks($sheet)] + $typical->sheet], static fn (): SpecSheet => $sheet);
    }
}

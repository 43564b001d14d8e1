<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Parts\Supplier;

final readonly class SupplierView extends Schema
{
    public function __construct(
        #[Inlined] public SupplierEdit $edit,
        public int $id,
        /** When its counter was asked what stands now */
        public ?string $answered_at,
        /** How many parts it knew */
        public int $answered,
        /** Why it could not be used the last time, in words; null where it could */
        public ?string $fault,
        public ?string $failed_at,
    ) {
    }

    public static function of(Supplier $of): self
    {
        return new self(
            SupplierEdit::ofModel($of),
            id: $of->id,
            answered_at: $of->answered_at?->toIso8601ZuluString('millisecond'),
            answered: count(array_filter(array_column($of->answers, 'known'))),
            fault: $of->fault === null ? null : (string) __("counter.{$of->fault->value}", ['about' => $of->fault_about]),
            failed_at: $of->failed_at?->toIso8601ZuluString('millisecond'),
        );
    }
}

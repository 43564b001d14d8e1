<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use App\Parts\FittedPart;
use Carbon\CarbonImmutable;
use DateTimeInterface;
use Illuminate\Support\Facades\Gate;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

final readonly class FittingView extends Schema
{
    public function __construct(
        public string $id,
        public int $row,
        public Slot $slot,
        public Side $side,
        /** The piece itself, wherever it goes */
        public string $part_id,
        public ?int $part_type_id,
        /** Name of the part type; null where nobody knows */
        public ?string $part,
        public bool $used,
        /** When fitted */
        public ?float $size_mm,
        /** Furrow metres that it had run before */
        public float $ran_before_m,
        public ?int $shims,
        public ?float $cost,
        public string $note,
        public DateTimeInterface $fitted_at,
        public string $fitted_by,
        public ?DateTimeInterface $removed_at,
        public ?RemovalReason $removal_reason,
        /** Furrow metres that it has run here */
        public float $run_m,
        /** Furrow metres that the piece has run altogether, wherever it was */
        public float $part_ran_m,
    ) {
    }

    public static function of(FittedPart $fitting): self
    {
        return new self(
            id: $fitting->id,
            row: $fitting->row,
            slot: Slot::from($fitting->slot),
            side: Side::from($fitting->side),
            part_id: $fitting->partId,
            part_type_id: $fitting->partTypeId,
            part: $fitting->partName,
            used: $fitting->used,
            size_mm: $fitting->size === null ? null : (float) $fitting->size,
            ran_before_m: (float) $fitting->ranBefore,
            shims: $fitting->shims,
            // What the shop pays is the shop's.
            cost: $fitting->cost === null || Gate::denies('record') ? null : (float) $fitting->cost,
            note: $fitting->note,
            fitted_at: CarbonImmutable::parse($fitting->fittedAt),
            fitted_by: $fitting->fittedBy,
            removed_at: $fitting->removedAt === null ? null : CarbonImmutable::parse($fitting->removedAt),
            removal_reason: $fitting->removalReason === null ? null : RemovalReason::from($fitting->removalReason),
            run_m: round($fitting->ran, 1),
            part_ran_m: round($fitting->partRan, 1),
        );
    }
}

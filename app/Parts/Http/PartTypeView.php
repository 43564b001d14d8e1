<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use App\Models\Parts\PartType;
use Ustrel\Core\Parts\Slot;

final readonly class PartTypeView extends Schema
{
    public function __construct(
        public int $id,
        /** Of what its form changes */
        public string $version,
        public string $name,
        public ?string $own_number,
        /** @var list<Slot> */
        public array $slots,
        public int $per_row,
        public ?float $new_size_mm,
        public ?string $new_size_typed,
        /** Expected, furrow meters */
        public ?float $life_m,
        /** For one */
        public ?float $price,
        public ?int $lead_days,
        /** That is to stay on the shelf */
        public ?int $minimum,
        public string $notes,
        public bool $heavy,
        public bool $clearance,
    ) {
    }

    public static function of(PartType $of): self
    {
        $number = static fn (string|float|int|null $value): ?float => $value === null ? null : (float) $value;

        return new self(
            $of->id, $of->version(), $of->name, $of->own_number, array_map(Slot::from(...), $of->slots), $of->per_row, $number($of->new_size), $of->new_size_typed,
            $number($of->life_m), $number($of->price), $of->lead_days, $of->minimum, $of->notes, $of->heavy, $of->clearance,
        );
    }
}

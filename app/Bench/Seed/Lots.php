<?php

declare(strict_types=1);

namespace App\Bench\Seed;

use App\Models\Bench\SeedLot;
use Illuminate\Database\Eloquent\Collection;

/** The seed lots of a workshop by what people call them: by name, or by a name that a lot had before. */
final readonly class Lots
{
    /** @param  Collection<int, SeedLot>  $lots */
    private function __construct(private Collection $lots)
    {
    }

    public static function of(int $workshopId): self
    {
        return new self(SeedLot::query()->where('workshop_id', $workshopId)->orderBy('id')->get());
    }

    public function byId(?int $id): ?SeedLot
    {
        return $id === null ? null : $this->lots->firstWhere('id', $id);
    }

    /** As it is written; else but for capitals; else by a former name. */
    public function named(?string $name): ?SeedLot
    {
        $name = trim((string) $name);
        $plain = mb_strtolower($name);

        return $name === '' ? null : $this->lots->firstWhere('name', $name)
            ?? $this->lots->first(static fn (SeedLot $of): bool => mb_strtolower($of->name) === $plain)
            ?? $this->lots->first(static fn (SeedLot $of): bool => in_array($plain, array_map(mb_strtolower(...), $of->former_names), true));
    }

    /**
     * The fields of a season with the lots that they name: those that have one are called as it is called now.
     *
     * @param  list<array{name: string, crop: string|null, acres: float, soil: string|null, residue: string|null, tillage: string|null, seed: string|null, seed_lot_id?: int|null, population: int|null}>  $fields
     * @return list<array{name: string, crop: string|null, acres: float, soil: string|null, residue: string|null, tillage: string|null, seed: string|null, seed_lot_id?: int|null, population: int|null}>
     */
    public function inFields(array $fields): array
    {
        return array_map(fn (array $field): array => ['seed' => $this->byId($field['seed_lot_id'] ?? null)->name ?? $field['seed']] + $field, $fields);
    }
}

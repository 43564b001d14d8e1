<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Pack;
use App\Record\Document;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Walk\ShippedPack;

/** Named sets of checks: those that every shop finds ready, and a shop's own. */
final readonly class Packs
{
    public function __construct(private Document $documents)
    {
    }

    /** @return list<Pack> of a workshop, by name */
    public function of(int $workshopId): array
    {
        return array_values(Pack::query()->where('workshop_id', $workshopId)->orderBy('name')->get()->all());
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  string|null  $seen  version that was changed
     *
     * @throws ValidationException where another pack has that name
     */
    public function save(Pack $pack, array $fields, ?string $seen = null): Pack
    {
        if (in_array(mb_strtolower($fields['name']), array_map(static fn (ShippedPack $of): string => mb_strtolower((string) __("pack.{$of->key}")), ShippedPack::all()), true)) {
            throw ValidationException::withMessages(['name' => __('pack.name_taken', ['name' => $fields['name']])]);
        }

        return $this->documents->keep($pack, $fields, $seen, 'name', 'pack.name_taken');
    }
}

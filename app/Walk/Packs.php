<?php

declare(strict_types=1);

namespace App\Walk;

use App\Models\Walk\Pack;
use App\Record\Document;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Walk\ShippedPack;

/** Named sets of checks: those that every shop finds ready, and a shop's own. */
final readonly class Packs
{
    public function __construct(private Document $documents)
    {
    }

    /** @return list<array{id: null, name: string, kind: string, checks: list<string>|null, version: null}> */
    public function shipped(): array
    {
        return array_map(static fn (ShippedPack $pack): array => [
            'id' => null,
            'name' => (string) __("pack.{$pack->key}"),
            'kind' => $pack->kind->value,
            'checks' => $pack->checks === null ? null : array_map(static fn (CheckKey $key): string => $key->value, $pack->checks),
            'version' => null,
        ], ShippedPack::all());
    }

    /** @return list<Pack> of a workshop, by name */
    public function of(int $workshopId): array
    {
        return array_values(Pack::query()->where('workshop_id', $workshopId)->orderBy('name')->get()->all());
    }

    /**
     * @param  array{name: string, kind: string, checks: list<string>}  $fields
     * @param  string|null  $seen  version that was changed
     *
     * @throws ValidationException where another pack has that name
     */
    public function save(Pack $pack, array $fields, ?string $seen = null): Pack
    {
        if (in_array(mb_strtolower($fields['name']), array_map(mb_strtolower(...), array_column($this->shipped(), 'name')), true)) {
            throw ValidationException::withMessages(['name' => __('pack.name_taken', ['name' => $fields['name']])]);
        }

        return $this->documents->keep($pack, $fields, $seen, 'name', 'pack.name_taken');
    }
}

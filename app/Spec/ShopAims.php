<?php

declare(strict_types=1);

namespace App\Spec;

use App\Models\Aim;
use App\Models\Bench\SeedLot;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Spec\Aims;

/** What a workshop calls good, looked up by crop and size of seed. */
final readonly class ShopAims
{
    /** @param  Collection<int, Aim>  $aims */
    private function __construct(private Collection $aims)
    {
    }

    public static function of(int $workshopId): self
    {
        return new self(Aim::query()->where('workshop_id', $workshopId)->get());
    }

    /** Of this size, else of the crop, else of all crops, else as is typical: figure by figure. */
    public function for(string $crop, string $size = ''): Aims
    {
        [$crop, $size] = [mb_strtolower(trim($crop)), mb_strtolower(trim($size))];
        $nearest = [[$crop, $size], [$crop, ''], ['', '']];

        return Aims::of(...array_map(fn (array $key): array => $this->aims->first(static fn (Aim $aim): bool => [$aim->crop, $aim->size] === $key)?->figures() ?? [], $nearest));
    }

    /** Of the seed in a lot; its shape is its size as the tag says it. */
    public function forLot(?SeedLot $lot): Aims
    {
        return $this->for($lot->crop ?? '', $lot->shape ?? '');
    }
}

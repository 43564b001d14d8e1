<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\Planter;
use App\Models\Work\LubricationPoint;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Work\Lubrication;

/** What a workshop lubricates: the typical points as it has changed them, and its own. */
final readonly class ShopLubrication
{
    /** @param  Collection<string, LubricationPoint>  $said  by point */
    private function __construct(public Collection $said)
    {
    }

    /** Asked for once, however many planters of the workshop go by it. */
    public static function of(Workshop $workshop): self
    {
        return new self($workshop->loadMissing('lubricationPoints')->lubricationPoints->keyBy('point'));
    }

    /** @return list<Lubrication> of a planter, in the order in which they are gone round */
    public function on(Planter $planter): array
    {
        $points = array_filter($this->all(), fn (array $point): bool => ! ($this->said->get($point['point'])->is_off ?? false));

        return Lubrication::read($points, $planter->units());
    }

    /** @return list<array<string, mixed>> typical ones first, then the shop's own; shape: core/jobs/lubrication.json */
    public function all(): array
    {
        $typical = Lubrication::points();
        $points = array_map(fn (array $point): array => ($this->said->get($point['point'])?->shape() ?? []) + $point, $typical);
        $own = $this->said->except(array_column($typical, 'point'))->map(static fn (LubricationPoint $of): array => $of->shape())->values()->all();

        return [...$points, ...$own];
    }

    public function name(string $point): string
    {
        return $this->said->get($point)?->name ?: (string) __("lube.{$point}");
    }

    /** @return array<string, string> names of the shop's own points */
    public function names(): array
    {
        return $this->said->map(static fn (LubricationPoint $of): string => $of->name)->filter()->all();
    }
}

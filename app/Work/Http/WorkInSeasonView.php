<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Schema;
use App\Models\Parts\PartType;
use App\Work\InSeason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Work\Stops\ServiceStop;
use Ustrel\Core\Work\Stops\Spares;

final readonly class WorkInSeasonView extends Schema
{
    public function __construct(
        /**
         * @var list<array{
         *     part_type_id: int,
         *     name: string,
         *     carry: int,
         *     expected: float, // That fail, on average
         *     enough: float, // The chance that they are enough
         *     enough_fewer: float|null, // With one fewer; null where none is carried
         *     enough_more: float, // With one more
         * }>
         */
        public array $spares,
        /** Part types whose price nobody knows */
        public int $unpriced,
        /**
         * @var list<array{
         *     acres: float, // Of the season
         *     items: list<array{slot: Slot, parts: int}>,
         * }>
         */
        public array $stops,
        /** Of stops, work and life thrown away */
        public ?float $stop_cost,
        /** No plan costs less */
        public ?float $stops_at_least,
        public bool $best,
        /** Of the season; null where nobody has said */
        public ?float $acres,
        /** Of them planted */
        public float $done,
        public bool $no_stop_cost,
    ) {
    }

    public static function of(InSeason $of): self
    {
        return new self(
            spares: array_map(static fn (array $spare): array => self::spare(...$spare), $of->spares),
            unpriced: $of->unpriced,
            stops: array_map(static fn (ServiceStop $stop): array => [
                'acres' => round($of->done + $stop->acres),
                'items' => array_map(static fn (string $item): array => ['slot' => Slot::from(explode(' ', $item)[0]), 'parts' => $of->counts[$item]], $stop->items),
            ], $of->stops->stops ?? []),
            stop_cost: $of->stops === null ? null : round($of->stops->cost, 2),
            stops_at_least: $of->stops === null ? null : round($of->stops->atLeast, 2),
            best: $of->stops->isBest ?? true,
            acres: $of->acres === null ? null : round($of->acres + $of->done, 1),
            done: round($of->done, 1),
            no_stop_cost: ! $of->hasStopCost,
        );
    }

    /** @return array{part_type_id: int, name: string, carry: int, expected: float, enough: float, enough_fewer: float|null, enough_more: float} */
    private static function spare(PartType $type, Spares $spares): array
    {
        return [
            'part_type_id' => $type->id, 'name' => $type->name, 'carry' => $spares->carry, 'expected' => round($spares->expected(), 2), 'enough' => round($spares->enough($spares->carry), 3),
            'enough_fewer' => $spares->carry === 0 ? null : round($spares->enough($spares->carry - 1), 3), 'enough_more' => round($spares->enough($spares->carry + 1), 3),
        ];
    }
}

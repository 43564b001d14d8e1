<?php

declare(strict_types=1);

namespace App\Wear\Http;

use App\Field\SettingsOfDay;
use App\Http\Api\Schema;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Wear\WearRecord;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Arr;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;

final readonly class AcresView extends Schema
{
    public function __construct(
        /** @var list<AcresLineView> The newest 300 */
        public array $lines,
        /** @var list<AcresLineView> Lines with something that is made do with and not over, of whatever age */
        public array $arounds,
        /**
         * Of the season: planned against done
         *
         * @var list<array{
         *     name: string,
         *     planned: float|null,
         *     done: float,
         *     is_done: bool,
         *     seed: string|null,
         *     lots: list<string>,
         *     population: int|null,
         *     planted: int|null, // Seeds an acre on the mean, where the log says
         * }>
         */
        public array $fields,
        /** @var list<array{season: int, lines: int, acres: float}> */
        public array $seasons,
        /** @var list<float> Furrow metres that each row has run, from the left */
        public array $rows,
        public ?SeasonPlanView $plan,
        /** @var array<string, float> How fast parts wear on each kind of ground: by soil, residue, tillage and downforce with spaces between, - for what is not said */
        public array $severities,
    ) {
    }

    /**
     * @param  array{planter: Planter, lines: Collection<int, AcresEntry>, arounds: Collection<int, AcresEntry>, fields: list<array{name: string, planned: float|null, done: float, is_done: bool, seed: string|null, lots: list<string>, population: int|null, planted: int|null}>, seasons: list<array{season: int, lines: int, acres: float}>, record: WearRecord}  $acres
     */
    public static function of(array $acres, SettingsOfDay $settings): self
    {
        $style = $acres['planter']->workshop->number_style ?? NumberStyle::Point;
        $line = static fn (AcresEntry $line): AcresLineView => AcresLineView::of($line, $settings, $style);
        $log = $acres['record']->log();

        return new self(
            lines: array_values($acres['lines']->map($line)->all()),
            arounds: array_values($acres['arounds']->map($line)->all()),
            fields: $acres['fields'],
            seasons: $acres['seasons'],
            rows: array_map(static fn (int $row): float => round($log->total($row)->metres, 1), range(1, $acres['planter']->row_count)),
            plan: SeasonPlanView::of($acres['planter'], $acres['record']->plan()),
            severities: self::severities($acres['planter']->workshop->groundFactors()),
        );
    }

    /** @return array<string, float> by soil, residue, tillage and downforce with spaces between, `-` for what is not said */
    private static function severities(GroundFactors $factors): array
    {
        $severities = [];
        foreach (Arr::crossJoin(...array_map(static fn (array $cases): array => [null, ...$cases], array_values(GroundFactors::kinds()))) as $said) {
            /** @var array{Soil|null, Residue|null, Tillage|null, DownforceLevel|null} $said */
            $key = implode(' ', array_map(static fn (Soil|Residue|Tillage|DownforceLevel|null $case): string => $case->value ?? '-', $said));
            $severities[$key] = (new Ground($said[0], $said[1], $said[2], downforce: $said[3]))->severity($factors);
        }

        return $severities;
    }
}

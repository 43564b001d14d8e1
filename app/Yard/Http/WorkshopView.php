<?php

declare(strict_types=1);

namespace App\Yard\Http;

use App\Http\Api\Schema;
use App\Models\PaperSize;
use App\Models\Workshop;
use App\Plan\Http\SlotRuleView;
use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Wear\Acres\GroundFactors;
use Ustrel\Core\Wear\ReadingError;

final readonly class WorkshopView extends Schema
{
    public function __construct(
        /** ISO 4217 */
        public string $currency,
        /** How the workshop writes numbers: 1,234.5 or 1.234,5; null where nobody said */
        public ?NumberStyle $number_style,
        /** What it prints on */
        public PaperSize $paper,
        /** Of an hour's work */
        public ?float $shop_rate,
        public ?float $stop_cost,
        public ?float $depth_cost,
        public ?float $stop_hours,
        public int $service_stops,
        /** @var list<CrewMemberView> */
        public array $crew,
        /** @var array<string, SlotRuleView> */
        public array $own_policy,
        /** Over this chance of reaching its limit within the season a part is watched */
        public float $watch_chance,
        /** Of the tz database; days begin and end by it */
        public string $time_zone,
        /** What the shop does about depth stops that do not lift alike */
        public DepthStrategy $depth_school,
        /** When meters are due on the stand */
        public MeterStrategy $meter_school,
        /** @var array<string, string> Of what can be set, by its name; each changes with its value alone */
        public array $versions,
        /** @var list<array{kind: 'soil'|'residue'|'tillage'|'downforce', case: string, typical: float, own: float|null}> How fast parts wear by what is said of the ground, each to ground like any other */
        public array $ground,
        /**
         * How far the shop measures off, as a standard deviation in millimetres
         *
         * @var list<array{
         *     check: CheckKey,
         *     typical: float,
         *     learned: float|null, // As the shop's own readings tell; null as long as they tell nothing
         *     own: float|null, // As the shop says itself
         * }>
         */
        public array $measuring,
    ) {
    }

    /** What a column is called here. */
    public static function field(string $column): string
    {
        return $column === 'own_sd' ? 'measuring_sd' : $column;
    }

    public static function of(Workshop $workshop): self
    {
        $ground = [];
        foreach (GroundFactors::kinds() as $kind => $cases) {
            foreach ($cases as $case) {
                $ground[] = ['kind' => $kind, 'case' => $case->value, 'typical' => $case->factor(), 'own' => $workshop->ground_factors[$kind][$case->value] ?? null];
            }
        }

        $versions = $workshop->versions();

        return new self(
            currency: $workshop->currency,
            number_style: $workshop->number_style,
            paper: $workshop->paper,
            shop_rate: $workshop->shop_rate === null ? null : (float) $workshop->shop_rate,
            stop_cost: $workshop->stop_cost === null ? null : (float) $workshop->stop_cost,
            depth_cost: $workshop->depth_cost === null ? null : (float) $workshop->depth_cost,
            stop_hours: $workshop->stop_hours === null ? null : (float) $workshop->stop_hours,
            service_stops: $workshop->service_stops,
            crew: array_map(static fn (array $one): CrewMemberView => new CrewMemberView($one['name'], array_values($one['hours'])), $workshop->crew),
            own_policy: array_map(SlotRuleView::of(...), $workshop->own_policy),
            watch_chance: (float) $workshop->watch_chance,
            time_zone: $workshop->time_zone,
            depth_school: $workshop->depth_school,
            meter_school: $workshop->meter_school,
            ground: $ground,
            versions: array_combine(array_map(self::field(...), array_keys($versions)), $versions),
            measuring: array_map(static fn (CheckKey $check): array => [
                'check' => $check,
                'typical' => ReadingError::of($check)->sd,
                'learned' => $workshop->learned_sd[$check->value] ?? null,
                'own' => $workshop->own_sd[$check->value] ?? null,
            ], ReadingError::checks()),
        );
    }
}

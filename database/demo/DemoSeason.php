<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\Planter;
use App\Models\PolicyChoice;
use App\Models\SeasonPlan;
use App\Models\User;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Ustrel\Core\Plan\ChangeWhen;
use Ustrel\Core\Plan\School;
use Ustrel\Core\Plan\Scope;

/** What a made-up workshop charges and who works there, and the season that its planters are prepared for. */
final class DemoSeason
{
    /** Fields with their share of a season's acres, crop, and seeds an acre. */
    private const FIELDS = [
        ['Long Acre', 0.18, 'popcorn', 28000], ['Over the Brook', 0.14, 'popcorn', 28000], ['Kiln Piece', 0.1, 'popcorn', 27000], ['North Forty', 0.16, 'soybeans', 140000],
        ['Church Field', 0.09, 'soybeans', 140000], ['Far Down', 0.15, 'soybeans', 135000], ['Pond Ground', 0.18, 'popcorn', 28000],
    ];

    public static function shop(Workshop $workshop): void
    {
        $week = static fn (float ...$hours): array => array_combine(range(1, 7), array_pad($hours, 7, 0.0));
        $workshop->update([
            'shop_rate' => '58.00', 'stop_cost' => '140.00', 'stop_hours' => '1.50',
            'crew' => [
                ['name' => 'Wren Ashdown', 'hours' => $week(4, 4, 4, 4, 4)],
                ['name' => 'Idris Vale', 'hours' => $week(8, 8, 8, 8, 6)],
                ['name' => 'Pim Larkspur', 'hours' => $week(0, 4, 0, 4, 0, 4)],
            ],
            'own_policy' => [
                'opener_blade' => ['when' => ChangeWhen::ShareGone->value, 'share' => 0.7, 'scope' => Scope::Set->value, 'with' => ['seed_tube_guard'], 'looks' => 1],
                'fertilizer_blade' => ['when' => ChangeWhen::WouldNotLast->value, 'share' => 1.0, 'scope' => Scope::Row->value, 'with' => [], 'looks' => 1],
            ],
        ]);
    }

    public static function plan(Planter $planter, User $technician, CarbonImmutable $today): void
    {
        $start = CarbonImmutable::parse($planter->planting_start->iso ?? 'today');
        $acres = (float) $planter->planned_acres;
        $fields = array_map(static fn (array $field): array => [
            'name' => $field[0], 'crop' => $field[2], 'acres' => round($acres * $field[1], 1), 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => null, 'population' => $field[3],
        ], self::FIELDS);
        // What rounding has left over goes to the last.
        $fields[count($fields) - 1]['acres'] = round($acres - array_sum(array_column(array_slice($fields, 0, -1), 'acres')), 1);
        SeasonPlan::query()->create([
            'planter_id' => $planter->id, 'season' => $planter->season(), 'mph' => '5.2', 'counts_fills' => true, 'efficiency' => '0.850', 'fill_minutes' => '14.0', 'hours_a_day' => '11.0', 'fit_share' => '0.550',
            'delay_price' => '1.80', 'delay_after' => $start->addDays(9)->toDateString(), 'fields' => $fields, 'ticked' => ['seed'], 'revision' => 1,
            'tanks' => [['name' => 'seed', 'holds' => 70, 'rate' => 0.35, 'unit' => 'units'], ['name' => 'liquid', 'holds' => 600, 'rate' => 8, 'unit' => 'gal']],
            'own_items' => [
                ['id' => DemoScenario::uuid("{$planter->name} tyres"), 'title' => 'Lift-assist tyre back from the tyre shop', 'due' => $today->subDays(2)->toDateString(), 'done' => false],
                ['id' => DemoScenario::uuid("{$planter->name} maps"), 'title' => 'Ask Ardle Bank for the field maps', 'due' => $today->subDays(1)->toDateString(), 'done' => false],
                ['id' => DemoScenario::uuid("{$planter->name} oil"), 'title' => 'Order hydraulic oil', 'due' => $today->subDays(6)->toDateString(), 'done' => true],
            ],
        ]);
        PolicyChoice::query()->create([
            'id' => DemoScenario::uuid("{$planter->name} policy"), 'planter_id' => $planter->id, 'slot' => null, 'school' => School::Own, 'rules' => $planter->workshop->own_policy,
            'happened_at' => $today->subDays(40)->setTime(9, 0), 'recorded_at' => $today->subDays(40)->setTime(9, 0), 'user_id' => $technician->id,
        ]);
    }
}

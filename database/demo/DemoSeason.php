<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Bench\Seed\Lots;
use App\Models\Parts\Order;
use App\Models\Parts\PartType;
use App\Models\Parts\StockMove;
use App\Models\Parts\Supplier;
use App\Models\Plan\PolicyChoice;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Parts\Stock\OrderState;
use Ustrel\Core\Parts\Stock\StockMoveKind;
use Ustrel\Core\Plan\Policy\ChangeWhen;
use Ustrel\Core\Plan\Policy\Scope;
use Ustrel\Core\Plan\Policy\Strategy;

/** What a made-up workshop charges and who works there, and the season that its planters are prepared for. */
final class DemoSeason
{
    /** Fields with their share of a season's acres, crop, and seeds an acre. */
    private const FIELDS = [
        ['Long Acre', 0.18, 'popcorn', 28000], ['Over the Brook', 0.14, 'popcorn', 28000], ['Kiln Piece', 0.1, 'popcorn', 27000], ['North Forty', 0.16, 'soybeans', 140000],
        ['Church Field', 0.09, 'soybeans', 140000], ['Far Down', 0.15, 'soybeans', 135000], ['Pond Ground', 0.18, 'popcorn', 28000],
    ];

    /** What is planted of each crop. */
    private const LOTS = ['popcorn' => DemoBench::LOT, 'soybeans' => 'Soybeans, lot 12'];

    public static function shop(Workshop $workshop): void
    {
        $week = static fn (float ...$hours): array => array_combine(range(1, 7), array_pad($hours, 7, 0.0));
        $workshop->update([
            'number_style' => NumberStyle::Point, 'shop_rate' => '58.00', 'stop_cost' => '140.00', 'stop_hours' => '1.50',
            'crew' => [
                ['name' => 'Wren Ashdown', 'hours' => $week(4, 4, 4, 4, 4)],
                ['name' => 'Idris Vale', 'hours' => $week(8, 8, 8, 8, 6)],
                ['name' => 'Pim Larkspur', 'hours' => $week(0, 4, 0, 4, 0, 4)],
            ],
            'yield_curves' => ['popcorn' => ['unit' => 'bu', 'price' => 9.4, 'points' => [[16_000, 58], [20_000, 68], [24_000, 76], [28_000, 81], [32_000, 82]]]],
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
        $lots = Lots::of($planter->workshop_id);
        $fields = array_map(static fn (array $field): array => [
            'name' => $field[0], 'crop' => $field[2], 'acres' => round($acres * $field[1], 1), 'soil' => null, 'residue' => null, 'tillage' => null, 'seed' => self::LOTS[$field[2]], 'seed_lot_id' => $lots->named(self::LOTS[$field[2]])?->id, 'population' => $field[3],
        ], self::FIELDS);
        // What rounding has left over goes to the last.
        $fields[count($fields) - 1]['acres'] = round($acres - array_sum(array_column(array_slice($fields, 0, -1), 'acres')), 1);
        SeasonPlan::query()->create([
            'planter_id' => $planter->id, 'season' => $planter->season(), 'mph' => '5.2', 'counts_fills' => true, 'efficiency' => '0.850', 'fill_minutes' => '14.0', 'hours_a_day' => '11.0', 'fit_share' => '0.550',
            'delay_price' => '1.80', 'delay_after' => $start->addDays(9)->toDateString(), 'fields' => $fields, 'ticked' => ['seed'], 'revision' => 1,
            'tanks' => [
                ['name' => 'seed', 'holds' => 70, 'rate' => 0.35, 'unit' => 'units', 'crop' => 'popcorn'], ['name' => 'seed', 'holds' => 70, 'rate' => 1.0, 'unit' => 'units', 'crop' => 'soybeans'],
                ['name' => 'liquid', 'holds' => 600, 'rate' => 8, 'unit' => 'gal', 'crop' => null],
            ],
            'own_items' => [
                ['id' => DemoScenario::uuid("{$planter->name} tires"), 'title' => 'Lift-assist tire back from the tire shop', 'due' => $today->subDays(2)->toDateString(), 'done' => false],
                ['id' => DemoScenario::uuid("{$planter->name} maps"), 'title' => 'Ask Ardle Bank for the field maps', 'due' => $today->subDays(1)->toDateString(), 'done' => false],
                ['id' => DemoScenario::uuid("{$planter->name} oil"), 'title' => 'Order hydraulic oil', 'due' => $today->subDays(6)->toDateString(), 'done' => true],
            ],
        ]);
        PolicyChoice::query()->create([
            'id' => DemoScenario::uuid("{$planter->name} policy"), 'planter_id' => $planter->id, 'slot' => null, 'school' => Strategy::Own, 'rules' => $planter->workshop->own_policy,
            'happened_at' => $today->subDays(40)->setTime(9, 0), 'recorded_at' => $today->subDays(40)->setTime(9, 0), 'user_id' => $technician->id,
        ]);
    }

    /** Who supplies the workshop, what is on its shelf, and one order that has come in part. */
    public static function store(User $technician, CarbonImmutable $today): void
    {
        $type = static fn (string $number): PartType => PartType::query()->where('workshop_id', $technician->workshop_id)->where('own_number', $number)->firstOrFail();
        $price = static fn (string $number, ?float $price, int $days): array => ['part_type_id' => $type($number)->id, 'price' => $price, 'lead_days' => $days, 'since' => $today->subDays(30)->toDateString()];
        $brook = Supplier::query()->create(['workshop_id' => $technician->workshop_id, 'name' => 'Brook & Lane Supply', 'revision' => 1, 'counter' => 'practice:works', 'prices' => [$price('T-101', 36.5, 12), $price('T-120', 20, 10), $price('T-131', 58, 16), $price('T-160', 13.9, 5)]]);
        Supplier::query()->create(['workshop_id' => $technician->workshop_id, 'name' => 'Ardle Valley Parts', 'revision' => 1, 'notes' => 'Open on Saturdays.', 'prices' => [$price('T-101', 39, 3), $price('T-150', 50.5, 8), $price('T-151', null, 9), $price('T-110', 44, 6)]]);
        foreach (['T-101' => [4, 6], 'T-120' => [1, 4], 'T-160' => [7, 6], 'T-140' => [0, null], 'T-150' => [1, 2]] as $number => [$count, $minimum]) {
            $type($number)->update(['minimum' => $minimum]);
            StockMove::query()->create([
                'id' => DemoScenario::uuid("stock {$number}"), 'workshop_id' => $technician->workshop_id, 'part_type_id' => $type($number)->id, 'kind' => StockMoveKind::Counted, 'quantity' => $count,
                'happened_at' => $today->subDays(3)->setTime(16, 0), 'recorded_at' => $today->subDays(3)->setTime(16, 0), 'user_id' => $technician->id,
            ]);
        }
        Order::query()->create([
            'key' => DemoScenario::uuid('order'), 'workshop_id' => $technician->workshop_id, 'supplier_id' => $brook->id, 'user_id' => $technician->id, 'state' => OrderState::Ordered, 'revision' => 1,
            'ordered_on' => $today->subDays(8)->toDateString(), 'expected_on' => $today->addDays(4)->toDateString(),
            'lines' => [['part_type_id' => $type('T-101')->id, 'quantity' => 8, 'price' => 36.5, 'received' => 4], ['part_type_id' => $type('T-120')->id, 'quantity' => 4, 'price' => 20, 'received' => 0]],
        ]);
    }
}

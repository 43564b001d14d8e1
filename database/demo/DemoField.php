<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Field\DigEvents;
use App\Field\OpenBeforePlanting;
use App\Field\SettingEvents;
use App\Field\SignOffEvents;
use App\Field\StandCountEvents;
use App\Field\Watch\Listen;
use App\Field\Watch\SharedRows;
use App\Field\Watch\StartWatch;
use App\Models\Planter;
use App\Models\User;
use App\Record\Fields;
use App\Record\TakeWhole;
use Carbon\CarbonImmutable;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\SignOffKind;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\PracticeFault;
use Ustrel\Core\Field\Watch\PracticeField;

/** What was set on planters in the field, dug and counted: last spring on clay and on sand, and now. */
final readonly class DemoField
{
    private const CLAY = ['field' => 'Kiln Piece', 'crop' => 'popcorn', 'soil' => 'clay', 'residue' => 'heavy'];

    private const SAND = ['field' => 'Far Down', 'crop' => 'soybeans', 'soil' => 'sand', 'residue' => 'usual'];

    /** What was set, on what ground, so many days before today; of row 11 by itself. */
    private const BENCHED = [
        [350, self::CLAY, 'downforce', '150 lb', 0, ''], [350, self::CLAY, 'closing', 'notch 3', 0, 'furrow open behind rows 5 and 6'], [349, self::CLAY, 'closing', 'notch 2', 0, 'shut, not packed'],
        [349, self::CLAY, 'downforce', '180 lb', 0, 'depth held at 5 mph'], [349, self::CLAY, 'cleaner', 'floating', 0, ''], [349, self::CLAY, 'air', 13.0, 0, ''],
        [341, self::SAND, 'downforce', '90 lb', 0, ''], [341, self::SAND, 'closing', 'notch 1', 0, ''], [341, self::SAND, 'air', 9.5, 0, ''],
        [3, [], 'disc', '60 cells, 3.2 mm', 0, ''], [3, [], 'air', 13.0, 0, ''], [3, [], 'depth_mark', 6.0, 0, ''], [3, [], 'depth_mark', 8.5, 11, 'lifts late'], [3, [], 'population', 28_000.0, 0, ''], [3, [], 'speed', 5.0, 0, ''], [2, [], 'marker', 255.0, 0, ''],
    ];

    private const SMALL = [
        [340, [], 'sprocket_box', '15, 17, 19, 20, 21, 23, 24, 25, 27', 0, ''], [340, [], 'circumference', 7.1, 0, ''], [340, [], 'slip', 4.0, 0, ''],
        [340, ['field' => 'Home Garden', 'crop' => 'okra', 'soil' => 'loam', 'residue' => 'bare'], 'sprockets', '19/24', 0, 'thin; went to 20/24'], [339, ['field' => 'Home Garden', 'crop' => 'okra', 'soil' => 'loam', 'residue' => 'bare'], 'sprockets', '20/24', 0, 'stand as wanted'],
        [4, [], 'disc', 'Plate, 12 cells', 0, ''], [4, [], 'sprockets', '20/24', 0, ''], [4, [], 'population', 24_000.0, 0, ''],
    ];

    public function __construct(
        private TakeWhole $take,
        private SharedRows $shared,
        private StartWatch $start,
        private Listen $listen,
        private OpenBeforePlanting $open,
    ) {
    }

    public function load(User $technician): void
    {
        foreach ([DemoPlanter::BENCHED => self::BENCHED, 'Pell Garden' => self::SMALL] as $name => $made) {
            $this->settings(Planter::query()->where('workshop_id', $technician->workshop_id)->where('name', $name)->firstOrFail(), $technician, $made);
        }
        $benched = Planter::query()->where('workshop_id', $technician->workshop_id)->where('name', DemoPlanter::BENCHED)->firstOrFail();
        $this->digs($benched, $technician);
        $this->emergence($benched, $technician);
        $this->watched($benched, $technician);
    }

    /** This season so far: three motors, and a row whose drive began to slip. */
    private function watched(Planter $planter, User $technician): void
    {
        $thirds = [['West', range(1, 5)], ['Middle', range(6, 11)], ['East', range(12, 16)]];
        $this->shared->save($planter, array_values(array_map(static fn (array $of): array => ['kind' => GroupKind::Motor->value, 'name' => $of[0], 'rows' => $of[1]], $thirds)), []);
        $run = ($this->start)($technician, $planter->refresh(), Fields::of(['id' => DemoScenario::uuid("watched {$planter->name}"), 'field' => 'Test strip'], 'watch.item'));
        $field = new PracticeField($planter->row_count, 16, PracticeFault::Slips, [7]);
        ($this->listen)($run, implode("\n", array_map(static fn (int $second): string => (string) json_encode($field->at($second)), range(0, 1300))));
        $this->listen->end($run);
    }

    /** Last spring: row 11 shallow with a ridge in the furrow, put right by two notches. */
    private function digs(Planter $planter, User $technician): void
    {
        $began = CarbonImmutable::parse($planter->planting_start->iso ?? 'today')->subYear()->setTime(8, 0);
        $random = new Randomizer(new Mt19937(11));
        $items = [];
        foreach ([[1, 1, 50.8], [1, 7, 52.0], [1, 11, 38.5], [1, 16, 50.0], [2, 11, 50.2], [2, 16, 51.0]] as $at => [$pass, $row, $depth]) {
            $around = static fn (float $middle, float $by): string => number_format(round(($middle + $by * ($random->getInt(-100, 100) + $random->getInt(-100, 100)) / 100) / 1.5875) * 1.5875, 1, '.', '').' mm';
            $items[] = [
                'id' => DemoScenario::uuid("dig {$planter->name} {$at}"), 'pass' => $pass, 'row' => $row, 'field' => 'Kiln Piece', 'target' => '2', 'spacing' => '7 1/2',
                'depths' => array_map(static fn (): string => $around($depth, 4), range(1, 10)), 'spacings' => array_map(static fn (): string => $around(190.5, 28), range(1, 10)),
                'seen' => [$depth < 40 ? DigSign::W->value : DigSign::V->value], 'happened_at' => $began->addMinutes(12 * $at + 60 * $pass)->toIso8601ZuluString('millisecond'),
            ];
        }
        ($this->take)($planter, $technician, static fn (Planter $of): DigEvents => new DigEvents($of), $items);
        ($this->take)($planter, $technician, fn (Planter $of): SignOffEvents => new SignOffEvents($of, $this->open), [[
            'id' => DemoScenario::uuid("ready {$planter->name}"), 'kind' => SignOffKind::Ready->value, 'field' => 'Kiln Piece', 'words' => 'Row 11: watch the ridge', 'happened_at' => $began->addHours(4)->toIso8601ZuluString('millisecond'),
        ]]);
    }

    /** Last spring, day by day on a thousandth of an acre: row 11 came late, and thin. */
    private function emergence(Planter $planter, User $technician): void
    {
        $planted = CarbonImmutable::parse($planter->planting_start->iso ?? 'today')->subYear();
        $items = [];
        foreach ([1 => [1, 9, 21, 26, 27], 7 => [2, 11, 22, 25, 26], 11 => [0, 2, 6, 9, 11], 16 => [1, 10, 20, 26, 27]] as $row => $plants) {
            foreach ($plants as $at => $count) {
                $items[] = [
                    'id' => DemoScenario::uuid("stand {$planter->name} {$row} {$at}"), 'row' => $row, 'field' => 'Kiln Piece', 'planted_on' => $planted->toDateString(), 'plants' => $count, 'length' => 17.4,
                    'population' => 28_000, 'germination' => 0.95, 'happened_at' => $planted->addDays(8 + $at)->setTime(17, $row)->toIso8601ZuluString('millisecond'),
                ];
            }
        }
        ($this->take)($planter, $technician, static fn (Planter $of): StandCountEvents => new StandCountEvents($of), $items);
    }

    /** @param  list<array{int, array<string, string>, string, string|float, int, string}>  $made */
    private function settings(Planter $planter, User $technician, array $made): void
    {
        $today = CarbonImmutable::today()->setTime(9, 0);
        $items = array_map(static fn (array $of, int $at): array => [
            'id' => DemoScenario::uuid("setting {$planter->name} {$at}"), 'key' => $of[2], 'row' => $of[4], 'note' => $of[5], 'happened_at' => $today->subDays($of[0])->addMinutes($at)->toIso8601ZuluString('millisecond'),
        ] + $of[1] + (is_float($of[3]) ? ['figure' => $of[3]] : ['value' => $of[3]]), $made, array_keys($made));
        ($this->take)($planter, $technician, static fn (Planter $of): SettingEvents => new SettingEvents($of), $items);
    }
}

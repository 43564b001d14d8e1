<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Models\Bench\BenchRun;
use App\Models\Planter;
use App\Spec\ShopAims;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Meter\Heavy;
use Ustrel\Core\Meter\MeterStrategy;
use Ustrel\Core\Meter\RunFinding;
use Ustrel\Core\Meter\RunSetUp;
use Ustrel\Core\Meter\SeedsNeeded;
use Ustrel\Core\Meter\Stage;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

#[OA\Schema(schema: 'BenchEntry', description: 'A run of a row’s meter on a test stand', required: ['id', 'row', 'stage', 'places', 'skips', 'doubles', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer', maximum: 64, minimum: 1),
    new OA\Property(property: 'stage', description: 'pre: as it came; final: as it goes back', type: 'string', enum: Stage::class),
    new OA\Property(property: 'places', description: 'Where a seed should have dropped; 100 or more of a run', type: 'integer', maximum: 5000, minimum: 4),
    new OA\Property(property: 'skips', description: 'Of them left empty', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'doubles', description: 'Of them with a seed too many', type: 'integer', maximum: 5000, minimum: 0),
    new OA\Property(property: 'seed', description: 'The lot, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'disc', description: 'Disc or plate, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'air', description: 'Inches of water', type: 'number', maximum: 60, minimum: 0.5, nullable: true),
    new OA\Property(property: 'cells', description: 'Of the disc', type: 'integer', maximum: 400, minimum: 1, nullable: true),
    new OA\Property(property: 'population', description: 'Seeds an acre that it runs as if it planted', type: 'integer', maximum: 2000000, minimum: 500, nullable: true),
    new OA\Property(property: 'mph', description: 'Speed that it runs as if it went', type: 'number', maximum: 20, minimum: 0.5, nullable: true),
    new OA\Property(property: 'rpm', description: 'In place of mph: turns a minute of the disc, with cells and population', type: 'number', nullable: true),
    new OA\Property(property: 'singulator', description: 'Step, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'lubricant', description: 'And dose, in own words', type: 'string', maxLength: 80),
    new OA\Property(property: 'run_in', description: 'Seeds that ran before the counting began', type: 'integer', maximum: 5000, minimum: 0, nullable: true),
    new OA\Property(property: 'part_of', description: 'The first part of the same run, where the vacuum was changed on the way', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The run whose place this one takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'partial', description: 'It was cut short', type: 'boolean'),
    new OA\Property(property: 'look', description: 'One turn of the disc by hand, looked at; from 4 places on', type: 'boolean'),
    new OA\Property(property: 'withdrawn', description: 'Take back the run that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'MeterShare', description: 'With its interval of 95 %', required: ['share', 'low', 'high'], properties: [
    new OA\Property(property: 'share', type: 'number'),
    new OA\Property(property: 'low', type: 'number'),
    new OA\Property(property: 'high', type: 'number'),
])]
#[OA\Schema(schema: 'AirAdvice', required: ['runs', 'advice'], properties: [
    new OA\Property(property: 'runs', description: 'That it goes by', type: 'array', items: new OA\Items(required: ['air', 'places', 'skips', 'doubles'], properties: [
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number'),
        new OA\Property(property: 'places', type: 'integer'),
        new OA\Property(property: 'skips', type: 'integer'),
        new OA\Property(property: 'doubles', type: 'integer'),
    ], type: 'object')),
    new OA\Property(property: 'advice', description: 'Null without a run that has its air', required: ['air', 'low', 'high', 'skips', 'doubles', 'in_sight', 'way', 'next', 'gain', 'heavy', 'curve'], properties: [
        new OA\Property(property: 'air', description: 'At which skips and doubles together are least', type: 'number'),
        new OA\Property(property: 'low', description: 'With high: the best air lies between them eight times in ten', type: 'number'),
        new OA\Property(property: 'high', type: 'number'),
        new OA\Property(property: 'skips', description: 'Share of places, to be expected there', type: 'number'),
        new OA\Property(property: 'doubles', type: 'number'),
        new OA\Property(property: 'in_sight', description: 'It lies among the airs that were tried', type: 'boolean'),
        new OA\Property(property: 'way', description: 'Where it lies otherwise', type: 'string', enum: ['more', 'less'], nullable: true),
        new OA\Property(property: 'next', description: 'Worth trying next; null where another run wins nothing', type: 'number', nullable: true),
        new OA\Property(property: 'gain', description: 'Share of places that it is expected to win', type: 'number'),
        new OA\Property(property: 'heavy', description: 'What no air puts right', type: 'string', enum: Heavy::class, nullable: true),
        new OA\Property(property: 'curve', description: 'What is to be expected by air', type: 'array', items: new OA\Items(required: ['air', 'skips', 'doubles'], properties: [
            new OA\Property(property: 'air', type: 'number'),
            new OA\Property(property: 'skips', type: 'number'),
            new OA\Property(property: 'doubles', type: 'number'),
        ], type: 'object')),
    ], type: 'object', nullable: true),
])]
#[OA\Schema(schema: 'Bench', required: ['looks', 'runs', 'before', 'worse', 'better', 'school', 'due', 'seeds_to_tell'], properties: [
    new OA\Property(property: 'looks', description: 'Turns of a disc by hand, looked at: they are no runs', type: 'array', items: new OA\Items(required: ['id', 'row', 'stage', 'places', 'skips', 'doubles', 'seed', 'disc', 'by', 'happened_at'], properties: [
        new OA\Property(property: 'id', type: 'string', format: 'uuid'),
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'stage', type: 'string', enum: Stage::class),
        new OA\Property(property: 'places', type: 'integer'),
        new OA\Property(property: 'skips', type: 'integer'),
        new OA\Property(property: 'doubles', type: 'integer'),
        new OA\Property(property: 'seed', type: 'string'),
        new OA\Property(property: 'disc', type: 'string'),
        new OA\Property(property: 'by', type: 'string'),
        new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    ], type: 'object')),
    new OA\Property(property: 'school', description: 'When meters are due', type: 'string', enum: MeterStrategy::class),
    new OA\Property(property: 'due', description: 'Lots of the season that rows were not run with yet, where each size is to be', type: 'array', items: new OA\Items(required: ['row', 'seeds'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'seeds', type: 'array', items: new OA\Items(type: 'string')),
    ], type: 'object')),
    new OA\Property(property: 'runs', description: 'Of this season, the newest first', type: 'array', items: new OA\Items(required: ['id', 'row', 'stage', 'places', 'skips', 'doubles', 'singulation', 'aim', 'lean', 'skipped', 'doubled', 'seed', 'disc', 'air', 'cells', 'population', 'mph', 'rpm', 'singulator', 'lubricant', 'note', 'run_in', 'part_of', 'partial', 'practice', 'figures', 'board', 'by', 'happened_at'], properties: [
        new OA\Property(property: 'id', type: 'string', format: 'uuid'),
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'stage', type: 'string', enum: Stage::class),
        new OA\Property(property: 'places', type: 'integer'),
        new OA\Property(property: 'skips', type: 'integer'),
        new OA\Property(property: 'doubles', type: 'integer'),
        new OA\Property(property: 'singulation', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'aim', description: 'Singulation that is good for this seed', type: 'number'),
        new OA\Property(property: 'lean', description: 'Which there are more of, by more than luck', type: 'string', enum: ['skips', 'doubles'], nullable: true),
        new OA\Property(property: 'skipped', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'doubled', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'seed', type: 'string'),
        new OA\Property(property: 'disc', type: 'string'),
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number', nullable: true),
        new OA\Property(property: 'cells', type: 'integer', nullable: true),
        new OA\Property(property: 'population', description: 'Seeds an acre', type: 'integer', nullable: true),
        new OA\Property(property: 'mph', type: 'number', nullable: true),
        new OA\Property(property: 'rpm', description: 'Turns a minute of its disc; null where speed, population or cells were not said', type: 'number', nullable: true),
        new OA\Property(property: 'singulator', type: 'string'),
        new OA\Property(property: 'lubricant', type: 'string'),
        new OA\Property(property: 'note', type: 'string'),
        new OA\Property(property: 'run_in', description: 'Seeds that ran before the counting began', type: 'integer', nullable: true),
        new OA\Property(property: 'part_of', description: 'The first part of the run, where its vacuum was changed on the way', type: 'string', format: 'uuid', nullable: true),
        new OA\Property(property: 'partial', description: 'It was cut short', type: 'boolean'),
        new OA\Property(property: 'practice', description: 'A made-up meter ran', type: 'boolean'),
        new OA\Property(property: 'figures', description: 'What its seeds told; null where only its counts are known', ref: '#/components/schemas/RunFigures', nullable: true),
        new OA\Property(property: 'board', description: 'What it says of checks of its row; none where a made-up meter ran, or where it was cut short', type: 'array', items: new OA\Items(required: ['check', 'state', 'chips'], properties: [
            new OA\Property(property: 'check', ref: '#/components/schemas/CheckKey'),
            new OA\Property(property: 'state', description: 'Null: it was run this season', ref: '#/components/schemas/State', nullable: true),
            new OA\Property(property: 'chips', type: 'array', items: new OA\Items(ref: '#/components/schemas/Chip')),
        ], type: 'object')),
        new OA\Property(property: 'by', type: 'string'),
        new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    ], type: 'object')),
    new OA\Property(property: 'before', description: 'The newest of each row in the seasons before', type: 'array', items: new OA\Items(required: ['row', 'season', 'singulation', 'air', 'seed'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'season', type: 'integer'),
        new OA\Property(property: 'singulation', ref: '#/components/schemas/MeterShare'),
        new OA\Property(property: 'air', description: 'Inches of water', type: 'number', nullable: true),
        new OA\Property(property: 'seed', type: 'string'),
    ], type: 'object')),
    new OA\Property(property: 'worse', description: 'Rows that are really worse than the others, by the newest runs on the seed that was run last', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'better', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'seeds_to_tell', description: 'That two meters need each, so that 98 % is told from 99 %', type: 'integer'),
])]
final class BenchShape
{
    /**
     * @param  Planter  $planter  with its spec sheet and workshop
     * @param  Collection<int, BenchRun>  $runs  of this season, the newest first
     * @param  array<int, array{BenchRun, int}>  $before  the newest of each row in the seasons before, with the season
     * @param  array<int, bool>  $differing  rows that differ: true where it is worse
     * @param  array<string, true>  $unsound  places that are known to be not sound, by key
     * @param  array<int, list<string>>|null  $due  lots by row, as BenchQuery::due() says
     * @return array<string, mixed>
     */
    public static function of(Planter $planter, Collection $runs, array $before, array $differing, array $unsound, ?array $due, ShopAims $aims): array
    {
        $checks = $planter->readSheet()->checks;

        return [
            'runs' => $runs->map(static fn (BenchRun $run): array => self::run($run, $checks, $unsound, $aims->forLot($run->seedLot), $planter->spacing()->toInches()))->all(),
            'before' => array_values(array_map(static fn (array $of): array => [
                'row' => $of[0]->row_number, 'season' => $of[1], 'singulation' => MeterShape::singulation($of[0]->counts()), 'air' => $of[0]->air === null ? null : (float) $of[0]->air, 'seed' => $of[0]->lotName(),
            ], $before)),
            'worse' => array_keys($differing, true, true),
            'better' => array_keys($differing, false, true),
            'school' => $planter->workshop->meter_school->value,
            'due' => array_map(static fn (int $row, array $seeds): array => ['row' => $row, 'seeds' => $seeds], array_keys($due ?? []), $due ?? []),
            'seeds_to_tell' => SeedsNeeded::toTell(0.98, 0.99),
        ];
    }

    /**
     * @param  Collection<int, BenchRun>  $looks
     * @return list<array<string, mixed>>
     */
    public static function looks(Collection $looks): array
    {
        return array_values($looks->map(static fn (BenchRun $of): array => [
            'id' => $of->id, 'row' => $of->row_number, 'stage' => $of->stage->value, 'places' => $of->places, 'skips' => $of->skips, 'doubles' => $of->doubles, 'seed' => $of->lotName(), 'disc' => $of->disc, 'by' => $of->user->name, 'happened_at' => $of->happened_at->toIso8601ZuluString(),
        ])->all());
    }

    /**
     * @param  array<string, mixed>  $checks  of the row unit, by key
     * @param  array<string, true>  $unsound
     * @return array<string, mixed>
     */
    private static function run(BenchRun $run, array $checks, array $unsound, Aims $aims, float $width): array
    {
        $counts = $run->counts();
        $mph = $run->mph === null ? null : (float) $run->mph;

        return [
            'id' => $run->id, 'row' => $run->row_number, 'stage' => $run->stage->value, 'places' => $run->places, 'skips' => $run->skips, 'doubles' => $run->doubles,
            'singulation' => MeterShape::singulation($counts),
            'aim' => $aims->singulation, 'lean' => $counts->lean(), 'skipped' => MeterShape::share($counts->skipped()), 'doubled' => MeterShape::share($counts->doubled()),
            'seed' => $run->lotName(), 'disc' => $run->disc, 'air' => $run->air === null ? null : (float) $run->air, 'cells' => $run->cells, 'population' => $run->population, 'mph' => $mph,
            'rpm' => $mph === null || $run->population === null || $run->cells === null ? null : round(RunSetUp::rpm($run->population, $width, $mph, $run->cells), 1),
            'singulator' => $run->singulator, 'lubricant' => $run->lubricant, 'note' => $run->note, 'partial' => $run->is_partial, 'practice' => $run->standRun?->practice !== null, 'figures' => $run->figures(), 'run_in' => $run->run_in, 'part_of' => $run->part_of,
            'board' => self::board($run, $checks, $unsound, $aims),
            'by' => $run->user->name,
            'happened_at' => $run->happened_at->toIso8601ZuluString(),
        ];
    }

    /**
     * @param  array<string, mixed>  $checks
     * @param  array<string, true>  $unsound
     * @return list<array{check: string, state: string|null, chips: list<string>}>
     */
    private static function board(BenchRun $run, array $checks, array $unsound, Aims $aims): array
    {
        if ($run->is_partial || $run->standRun?->practice !== null) {
            return [];
        }
        $isPeriodic = ($run->figures()['skipping'] ?? []) !== [] || ($run->figures()['doubling'] ?? []) !== [];
        // What somebody found with his own eyes stands.
        $news = array_filter(RunFinding::of($run->counts(), $isPeriodic, $checks, $aims->singulation), static fn (RunFinding $finding): bool => $finding->state === null || ! isset($unsound[(new Place($run->row_number, $finding->check, Side::Centre))->key()]));

        return array_values(array_map(static fn (RunFinding $finding): array => ['check' => $finding->check->value, 'state' => $finding->state?->value, 'chips' => array_column($finding->chips, 'value')], $news));
    }
}

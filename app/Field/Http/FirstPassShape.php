<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Models\Field\Dig;
use App\Models\Field\SignOff;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Field\Dig\SignOffKind;
use Ustrel\Core\Measure\UnitSystem;

#[OA\Schema(schema: 'DigEntry', description: 'One row that was dug; lengths as they are typed', required: ['id', 'pass', 'row', 'target', 'depths', 'spacings', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'pass', description: '1 for the first, 2 after it was put right', type: 'integer', maximum: 20, minimum: 1),
    new OA\Property(property: 'row', type: 'integer', minimum: 1),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'target', description: 'Depth that is wanted', type: 'string', maxLength: 20),
    new OA\Property(property: 'spacing', description: 'Of seeds, as it is set', type: 'string', maxLength: 20, nullable: true),
    new OA\Property(property: 'depths', description: 'Of each seed, in the order in which they lie; up to 100', type: 'array', items: new OA\Items(type: 'string', maxLength: 20)),
    new OA\Property(property: 'spacings', description: 'From each seed to the next', type: 'array', items: new OA\Items(type: 'string', maxLength: 20)),
    new OA\Property(property: 'seen', description: 'In the furrow', type: 'array', items: new OA\Items(type: 'string', enum: DigSign::class)),
    new OA\Property(property: 'units', description: 'Of bare figures', type: 'string', enum: UnitSystem::class),
    new OA\Property(property: 'note', type: 'string', maxLength: 300),
    new OA\Property(property: 'confirmed', description: 'A figure that does not fit its row is right', type: 'boolean'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', description: 'The dig whose place it takes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', description: 'Take back the one that is superseded', type: 'boolean'),
])]
#[OA\Schema(schema: 'SignOffEntry', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: SignOffKind::class),
    new OA\Property(property: 'field', type: 'string', maxLength: 80),
    new OA\Property(property: 'rows', description: 'That did not drop', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'words', type: 'string', maxLength: 300),
    new OA\Property(property: 'answers', description: 'One for each thing that is open', type: 'array', items: new OA\Items(required: ['key', 'answer'], properties: [
        new OA\Property(property: 'key', type: 'string', maxLength: 80),
        new OA\Property(property: 'answer', type: 'string', maxLength: 300),
    ], type: 'object')),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'supersedes', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'withdrawn', type: 'boolean'),
])]
#[OA\Schema(schema: 'DugRow', required: ['id', 'row', 'depths', 'spacings', 'depth', 'depth_sd', 'off', 'differs', 'notches', 'before', 'spacing', 'cv', 'missed', 'multiple', 'fed', 'population', 'seen', 'note', 'by'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'depths', description: 'Of each seed', type: 'integer'),
    new OA\Property(property: 'spacings', type: 'integer'),
    new OA\Property(property: 'depth', description: 'On average, in words', type: 'string', nullable: true),
    new OA\Property(property: 'depth_sd', description: 'How much depths scatter, in words', type: 'string', nullable: true),
    new OA\Property(property: 'off', description: 'Millimetres deeper than wanted; shallower is under 0', type: 'number', nullable: true),
    new OA\Property(property: 'differs', description: 'It really plants otherwise than the others: true deeper, false shallower', type: 'boolean', nullable: true),
    new OA\Property(property: 'notches', description: 'To turn its handle by, to the half; higher is deeper', type: 'number', nullable: true),
    new OA\Property(property: 'before', description: 'Depth on the pass before, in words', type: 'string', nullable: true),
    new OA\Property(property: 'spacing', description: 'On average, in words', type: 'string', nullable: true),
    new OA\Property(property: 'cv', description: 'By how much of their mean spacings scatter', type: 'number', nullable: true),
    new OA\Property(property: 'missed', description: 'Share of spacings, ISO 7256-1', type: 'number', nullable: true),
    new OA\Property(property: 'multiple', type: 'number', nullable: true),
    new OA\Property(property: 'fed', type: 'number', nullable: true),
    new OA\Property(property: 'population', description: 'In words, with how far it may be off', type: 'string', nullable: true),
    new OA\Property(property: 'seen', type: 'array', items: new OA\Items(type: 'string', enum: DigSign::class)),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
])]
#[OA\Schema(schema: 'DigPass', required: ['pass', 'field', 'target', 'alike', 'rows'], properties: [
    new OA\Property(property: 'pass', type: 'integer'),
    new OA\Property(property: 'field', type: 'string'),
    new OA\Property(property: 'target', description: 'In words', type: 'string'),
    new OA\Property(property: 'alike', description: 'How alike depths of neighbouring seeds are, 0 to 1', type: 'number'),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/DugRow')),
])]
#[OA\Schema(schema: 'FirstPass', required: ['to_dig', 'open', 'passes', 'before', 'sign_offs'], properties: [
    new OA\Property(property: 'to_dig', type: 'array', items: new OA\Items(required: ['row', 'why'], properties: [
        new OA\Property(property: 'row', type: 'integer'),
        new OA\Property(property: 'why', type: 'string', enum: ['record', 'wing', 'track']),
    ], type: 'object')),
    new OA\Property(property: 'open', description: 'What whoever calls the planter ready is asked about', type: 'array', items: new OA\Items(required: ['key', 'said'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'said', type: 'string'),
    ], type: 'object')),
    new OA\Property(property: 'passes', description: 'Of this season, the last first', type: 'array', items: new OA\Items(ref: '#/components/schemas/DigPass')),
    new OA\Property(property: 'before', description: 'Of the last season that was dug before', required: ['season', 'passes'], properties: [
        new OA\Property(property: 'season', type: 'integer'),
        new OA\Property(property: 'passes', type: 'array', items: new OA\Items(ref: '#/components/schemas/DigPass')),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'sign_offs', description: 'The newest first', type: 'array', items: new OA\Items(required: ['id', 'kind', 'field', 'rows', 'words', 'answers', 'by', 'happened_at'], properties: [
        new OA\Property(property: 'id', type: 'string', format: 'uuid'),
        new OA\Property(property: 'kind', type: 'string', enum: SignOffKind::class),
        new OA\Property(property: 'field', type: 'string'),
        new OA\Property(property: 'rows', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'words', type: 'string'),
        new OA\Property(property: 'answers', type: 'array', items: new OA\Items(required: ['key', 'said', 'answer'], properties: [
            new OA\Property(property: 'key', type: 'string'),
            new OA\Property(property: 'said', type: 'string'),
            new OA\Property(property: 'answer', type: 'string'),
        ], type: 'object')),
        new OA\Property(property: 'by', type: 'string'),
        new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
    ], type: 'object')),
])]
final class FirstPassShape
{
    private const INCH = 25.4;

    /**
     * @param  array<int, Collection<int, Dig>>  $seasons  digs, the newest first, by season
     * @param  array<string, float>  $gained  millimetres, by id of a dig
     * @param  Collection<int, SignOff>  $signOffs
     * @param  array<int, 'record'|'wing'|'track'>  $toDig
     * @param  list<array{key: string, said: string}>  $open
     * @return array<string, mixed>
     */
    public static function of(Planter $planter, array $seasons, array $gained, Collection $signOffs, array $toDig, array $open, FigureWords $words): array
    {
        $earlier = array_filter(array_keys($seasons), static fn (int $season): bool => $season < $planter->season());
        $before = $earlier === [] ? null : max($earlier);

        return [
            'to_dig' => array_map(static fn (int $row, string $why): array => ['row' => $row, 'why' => $why], array_keys($toDig), $toDig),
            'open' => $open,
            'passes' => self::passes($planter, $seasons[$planter->season()] ?? new Collection, $gained, $words),
            'before' => $before === null ? null : ['season' => $before, 'passes' => self::passes($planter, $seasons[$before], [], $words)],
            'sign_offs' => $signOffs->map(static fn (SignOff $of): array => [
                'id' => $of->id, 'kind' => $of->kind->value, 'field' => $of->field, 'rows' => $of->rows, 'words' => $of->words, 'answers' => $of->answers, 'by' => $of->user->name, 'happened_at' => $of->happened_at->toIso8601ZuluString(),
            ])->all(),
        ];
    }

    /**
     * @param  Collection<int, Dig>  $digs  of one season, the newest first
     * @param  array<string, float>  $gained
     * @return list<array<string, mixed>> the last pass first
     */
    private static function passes(Planter $planter, Collection $digs, array $gained, FigureWords $words): array
    {
        $passes = [];
        foreach ($digs->groupBy('pass')->sortKeys() as $pass => $ofPass) {
            // The newest dig of a row stands.
            $rows = $ofPass->unique('row_number')->keyBy('row_number')->sortKeys()->all();
            $passes[$pass] = self::pass($planter, (int) $pass, $rows, $gained, $passes === [] ? [] : array_column($passes[array_key_last($passes)]['rows'], 'depth', 'row'), $words);
        }

        return array_reverse(array_values($passes));
    }

    /**
     * @param  array<int, Dig>  $digs  by row
     * @param  array<string, float>  $gained
     * @param  array<int, string|null>  $before  depth in words, by row
     * @return array{pass: int, field: string, target: string, alike: float, rows: list<array<string, mixed>>}
     */
    private static function pass(Planter $planter, int $pass, array $digs, array $gained, array $before, FigureWords $words): array
    {
        $dug = array_map(static fn (Dig $dig): DugRow => $dig->dug(), $digs);
        $together = new DugRows($dug);
        $differing = $together->differing();
        $rows = [];
        foreach ($digs as $row => $dig) {
            $rows[] = self::row($planter, $dig, $dug[$row], $words) + [
                'differs' => isset($differing[$row]) ? $differing[$row] > 0 : null,
                'notches' => $dig->notch === null ? null : $together->notches($row, (float) $dig->target, (float) $dig->notch, $gained[$dig->id] ?? 0.0),
                'before' => $before[$row] ?? null,
            ];
        }
        $last = array_values($digs)[0];

        return ['pass' => $pass, 'field' => $last->field, 'target' => $words->said((float) $last->target / self::INCH, CalcUnit::Inch), 'alike' => round($together->alike, 2), 'rows' => $rows];
    }

    /** @return array<string, mixed> */
    private static function row(Planter $planter, Dig $dig, DugRow $dug, FigureWords $words): array
    {
        $length = static fn (?float $mm): ?string => $mm === null ? null : $words->said(Measured::of(round($mm / self::INCH, 2)), CalcUnit::Inch);
        $drops = $dig->spacing === null ? null : $dug->drops((float) $dig->spacing);
        $population = $dug->population($planter->spacing()->toMillimetres());

        return [
            'id' => $dig->id, 'row' => $dig->row_number, 'depths' => count($dug->depths), 'spacings' => count($dug->spacings), 'depth' => $length($dug->depth()), 'depth_sd' => $length($dug->depthSd()),
            'off' => $dug->depth() === null ? null : round($dug->depth() - (float) $dig->target, 1), 'spacing' => $length($dug->spacing()), 'cv' => self::share($dug->spacingCv()),
            'missed' => self::share($drops?->missIndex()), 'multiple' => self::share($drops?->multipleIndex()), 'fed' => self::share($drops?->feedIndex()),
            'population' => $population === null ? null : $words->said($population, CalcUnit::SeedsAnAcre), 'seen' => $dig->seen, 'note' => $dig->note, 'by' => $dig->user->name,
        ];
    }

    private static function share(?float $share): ?float
    {
        return $share === null ? null : round($share, 3);
    }
}

<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\FoundRates;
use App\Field\PassTurns;
use App\Field\RateWords;
use App\Models\Field\Dig;
use App\Models\Field\Setting;
use App\Models\Field\SignOff;
use App\Models\Planter;
use Illuminate\Database\Eloquent\Collection;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Calc\Measured;
use Ustrel\Core\Field\Dig\ClosingPressure;
use Ustrel\Core\Field\Dig\DigSign;
use Ustrel\Core\Field\Dig\DugRow;
use Ustrel\Core\Field\Dig\DugRows;
use Ustrel\Core\Field\Dig\FirstPassStep;
use Ustrel\Core\Field\Dig\Lever;
use Ustrel\Core\Field\Dig\SignOffKind;
use Ustrel\Core\Field\Rate\FoundRate;
use Ustrel\Core\Field\Rate\Rate;
use Ustrel\Core\Field\Rate\RateFinding;
use Ustrel\Core\Field\Rate\RateScope;
use Ustrel\Core\Field\Rate\RateVerdict;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\Aims;
use Ustrel\Core\Spec\DepthScale;
use Ustrel\Core\Wear\Acres\Residue;

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
    new OA\Property(property: 'spot', description: 'Where in the field', type: 'string', maxLength: 80),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'mark', description: 'Notch, mark or turn that it stands at, to the tenth', type: 'number', maximum: 100, minimum: 0, nullable: true),
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
#[OA\Schema(schema: 'DugRow', required: ['id', 'row', 'depths', 'spacings', 'depth', 'depth_sd', 'off', 'differs', 'turn', 'deeper', 'before', 'spacing', 'cv', 'uneven', 'missed', 'multiple', 'fed', 'population', 'rate', 'stands', 'turn_to', 'expected', 'seen', 'spot', 'residue', 'note', 'by'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'depths', description: 'Of each seed', type: 'integer'),
    new OA\Property(property: 'spacings', type: 'integer'),
    new OA\Property(property: 'depth', description: 'On average, in words', type: 'string', nullable: true),
    new OA\Property(property: 'depth_sd', description: 'How much depths scatter, in words', type: 'string', nullable: true),
    new OA\Property(property: 'off', description: 'Millimetres deeper than wanted; shallower is under 0', type: 'number', nullable: true),
    new OA\Property(property: 'differs', description: 'It really plants otherwise than the others: true deeper, false shallower', type: 'boolean', nullable: true),
    new OA\Property(property: 'turn', description: 'Notches, marks or turns to turn its depth by, to the half, up the scale where positive; null where nothing tells it', type: 'number', nullable: true),
    new OA\Property(property: 'deeper', description: 'Whether it plants deeper after that', type: 'boolean', nullable: true),
    new OA\Property(property: 'before', description: 'Depth on the pass before, in words', type: 'string', nullable: true),
    new OA\Property(property: 'spacing', description: 'On average, in words', type: 'string', nullable: true),
    new OA\Property(property: 'cv', description: 'By how much of their mean spacings scatter', type: 'number', nullable: true),
    new OA\Property(property: 'uneven', description: 'Single spacings scatter by more than the shop calls good, by more than luck', type: 'boolean'),
    new OA\Property(property: 'missed', description: 'Share of spacings, ISO 7256-1', type: 'number', nullable: true),
    new OA\Property(property: 'multiple', type: 'number', nullable: true),
    new OA\Property(property: 'fed', type: 'number', nullable: true),
    new OA\Property(property: 'population', description: 'In words, with how far it may be off', type: 'string', nullable: true),
    new OA\Property(property: 'rate', description: 'Its spacings against what is set, in words', required: ['verdict', 'said'], properties: [
        new OA\Property(property: 'verdict', type: 'string', enum: RateVerdict::class),
        new OA\Property(property: 'said', type: 'string'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'stands', description: 'Notch, mark or turn that it stands at; null where nobody said', type: 'number', nullable: true),
    new OA\Property(property: 'turn_to', description: 'Where it is to stand; null where nobody said where it stands', type: 'number', nullable: true),
    new OA\Property(property: 'expected', description: 'Depth to expect after the turn, with its interval, in words', type: 'string', nullable: true),
    new OA\Property(property: 'seen', type: 'array', items: new OA\Items(type: 'string', enum: DigSign::class)),
    new OA\Property(property: 'spot', type: 'string'),
    new OA\Property(property: 'residue', type: 'string', enum: Residue::class, nullable: true),
    new OA\Property(property: 'note', type: 'string'),
    new OA\Property(property: 'by', type: 'string'),
])]
#[OA\Schema(schema: 'DigPass', required: ['pass', 'field', 'target', 'alike', 'rate', 'closing', 'set_before', 'rows'], properties: [
    new OA\Property(property: 'pass', type: 'integer'),
    new OA\Property(property: 'field', type: 'string'),
    new OA\Property(property: 'target', description: 'In words', type: 'string'),
    new OA\Property(property: 'alike', description: 'How alike depths of neighbouring seeds are, 0 to 1', type: 'number'),
    new OA\Property(property: 'rate', description: 'Null where no spacings were dug', ref: '#/components/schemas/FoundRate', nullable: true),
    new OA\Property(property: 'closing', description: 'What the furrows say of the closing pressure, in words', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'set_before', description: 'What was set since the pass before, in words', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/DugRow')),
])]
#[OA\Schema(schema: 'FoundRate', description: 'Whether the rate is right, which rows are off, and what explains it', required: ['verdict', 'said', 'ratio', 'findings'], properties: [
    new OA\Property(property: 'verdict', type: 'string', enum: RateVerdict::class),
    new OA\Property(property: 'said', type: 'string'),
    new OA\Property(property: 'ratio', description: 'Spacing found over spacing set, with its 90 % interval, in words', type: 'string'),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(required: ['scope', 'rows', 'said', 'ratio', 'causes', 'to_prove'], properties: [
        new OA\Property(property: 'scope', type: 'string', enum: RateScope::class),
        new OA\Property(property: 'rows', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'said', type: 'string'),
        new OA\Property(property: 'ratio', type: 'string'),
        new OA\Property(property: 'causes', description: 'The likeliest first, in words', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'to_prove', description: 'What to dig to know whether all rows are off so; null where that is known', type: 'string', nullable: true),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'FirstPass', required: ['steps', 'aims', 'depth_scale', 'levers', 'to_dig', 'open', 'passes', 'before', 'sign_offs'], properties: [
    new OA\Property(property: 'steps', description: 'In the order of work', type: 'array', items: new OA\Items(required: ['key', 'done'], properties: [
        new OA\Property(property: 'key', type: 'string', enum: FirstPassStep::class),
        new OA\Property(property: 'done', type: 'boolean'),
    ], type: 'object')),
    new OA\Property(property: 'aims', description: 'What is good for the crop of the season, in words', required: ['depth', 'depth_band', 'rate_band'], properties: [
        new OA\Property(property: 'depth', description: 'As it is typed; null where the shop has none', type: 'string', nullable: true),
        new OA\Property(property: 'depth_band', type: 'string'),
        new OA\Property(property: 'rate_band', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'depth_scale', description: 'In what depth is set', type: 'string', enum: DepthScale::class),
    new OA\Property(property: 'levers', description: 'What a turn is worth, in words: those that passes have told of', type: 'array', items: new OA\Items(type: 'string')),
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

    private function __construct(
        private readonly Planter $planter,
        private readonly FoundRates $rates,
        private readonly FigureWords $words,
    ) {
    }

    /**
     * @param  array<int, Collection<int, Dig>>  $seasons  digs, the newest first, by season
     * @param  array<string, float>  $gained  millimetres, by id of a dig
     * @param  Collection<int, SignOff>  $signOffs
     * @param  array<int, 'record'|'wing'|'track'>  $toDig
     * @param  list<array{key: string, said: string}>  $open
     * @param  list<FirstPassStep>  $steps  that are done
     * @return array<string, mixed>
     */
    public static function of(Planter $planter, array $seasons, array $gained, Collection $signOffs, array $toDig, array $open, array $steps, FoundRates $rates, FigureWords $words): array
    {
        $earlier = array_filter(array_keys($seasons), static fn (int $season): bool => $season < $planter->season());
        $before = $earlier === [] ? null : max($earlier);
        $digs = $seasons[$planter->season()] ?? new Collection;
        $turns = PassTurns::of($planter, $digs, $gained);
        $aims = FoundRates::aims($planter, $digs->first()->field ?? '');
        $passes = new self($planter, $rates, $words);

        return [
            'steps' => array_map(static fn (FirstPassStep $of): array => ['key' => $of->value, 'done' => in_array($of, $steps, true)], FirstPassStep::cases()),
            'aims' => [
                'depth' => $aims->depth === null ? null : $words->bare(round($aims->depth / self::INCH, 2), CalcUnit::Inch),
                'depth_band' => $words->said(round($aims->depthBand / self::INCH, 2), CalcUnit::Inch),
                'rate_band' => __('rate.band', ['low' => round(-100 * $aims->rate->low, 1), 'high' => round(100 * $aims->rate->high, 1)]),
            ],
            'depth_scale' => $turns->scale->value,
            'levers' => self::levers($turns, $words),
            'to_dig' => array_map(static fn (int $row, string $why): array => ['row' => $row, 'why' => $why], array_keys($toDig), $toDig),
            'open' => $open,
            'passes' => $passes->all($digs, $gained, $turns),
            'before' => $before === null ? null : ['season' => $before, 'passes' => $passes->all($seasons[$before], [], PassTurns::of($planter, $seasons[$before], []))],
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
    private function all(Collection $digs, array $gained, PassTurns $turns): array
    {
        $passes = [];
        foreach ($digs->groupBy('pass')->sortKeys() as $pass => $ofPass) {
            // The newest dig of a row stands.
            $rows = $ofPass->unique('row_number')->keyBy('row_number')->sortKeys();
            $passes[$pass] = $this->pass((int) $pass, $rows, $gained, $passes === [] ? [] : array_column($passes[array_key_last($passes)]['rows'], 'depth', 'row'), $turns);
        }

        return array_reverse(array_values($passes));
    }

    /**
     * @param  Collection<int, Dig>  $digs  by row
     * @param  array<string, float>  $gained
     * @param  array<int, string|null>  $before  depth in words, by row
     * @return array{pass: int, field: string, target: string, alike: float, rows: list<array<string, mixed>>}
     */
    private function pass(int $pass, Collection $digs, array $gained, array $before, PassTurns $turns): array
    {
        $dug = $digs->map(static fn (Dig $dig): DugRow => $dig->dug())->all();
        $together = new DugRows($dug);
        $differing = $together->differing();
        $last = $digs->firstOrFail();
        $aims = FoundRates::aims($this->planter, $last->field);
        $found = $this->rates->of($this->planter, $digs, $aims);
        $rows = [];
        foreach ($digs as $row => $dig) {
            $turn = $turns->turn($dig, $together, $digs, $gained[$dig->id] ?? 0.0);
            $stands = $turns->standsAt($dig);
            $rows[] = $this->row($dig, $dug[$row], $found->rows[$row] ?? null, $aims) + [
                'differs' => isset($differing[$row]) ? $differing[$row] > 0 : null,
                'turn' => $turn?->by,
                'deeper' => $turn?->isDeeper,
                'stands' => $stands,
                'turn_to' => $stands === null || $turn === null ? null : $stands + $turn->by,
                'expected' => $turn !== null && $turn->tellsDepth ? $this->expected($turns->worth->after($row, [Lever::Notch->value => $turn->by])) : null,
                'before' => $before[$row] ?? null,
            ];
        }

        return [
            'pass' => $pass, 'field' => $last->field, 'target' => $this->words->said((float) $last->target / self::INCH, CalcUnit::Inch), 'alike' => round($together->alike, 2),
            'rate' => $found === null ? null : self::rate($found),
            'closing' => array_map(FigureWords::closing(...), ClosingPressure::of($digs->map(static fn (Dig $of): array => $of->signs())->all())),
            'set_before' => $turns->before($pass)->map(fn (Setting $of): string => __($of->row_number === 0 ? 'rate.set_all' : 'rate.set_row', ['what' => __("setting.{$of->key->value}"), 'to' => $this->words->setting($of), 'row' => $of->row_number]))->all(),
            'rows' => $rows,
        ];
    }

    /** @return array<string, mixed> */
    private function row(Dig $dig, DugRow $dug, ?Rate $rate, Aims $aims): array
    {
        $drops = $dig->spacing === null ? null : $dug->drops((float) $dig->spacing);
        $population = $dug->population($this->planter->spacing()->toMillimetres());

        return [
            'id' => $dig->id, 'row' => $dig->row_number, 'depths' => count($dug->depths), 'spacings' => count($dug->spacings), 'depth' => $this->length($dug->depth()), 'depth_sd' => $this->length($dug->depthSd()),
            'off' => $dug->depth() === null ? null : round($dug->depth() - (float) $dig->target, 1), 'spacing' => $this->length($dug->spacing()), 'cv' => self::share($dug->spacingCv()), 'uneven' => $drops !== null && $drops->precision() !== null && $aims->isUneven($drops->precision(), count($dug->spacings)),
            'missed' => self::share($drops?->missIndex()), 'multiple' => self::share($drops?->multipleIndex()), 'fed' => self::share($drops?->feedIndex()),
            'population' => $population === null ? null : $this->words->said($population, CalcUnit::SeedsAnAcre), 'rate' => $rate === null ? null : ['verdict' => $rate->verdict->value, 'said' => RateWords::row($rate)],
            'seen' => $dig->seen, 'spot' => $dig->spot, 'residue' => $dig->residue?->value, 'note' => $dig->note, 'by' => $dig->user->name,
        ];
    }

    /** @param  array{float, float, float}|null  $depth  millimetres: expected, least, most */
    private function expected(?array $depth): ?string
    {
        return $depth === null ? null : (string) __('rate.expected', ['depth' => $this->length($depth[0]), 'least' => $this->length($depth[1]), 'most' => $this->length($depth[2])]);
    }

    private function length(?float $mm): ?string
    {
        return $mm === null ? null : $this->words->said(Measured::of(round($mm / self::INCH, 2)), CalcUnit::Inch);
    }

    /** @return array<string, mixed> */
    private static function rate(FoundRate $found): array
    {
        return [
            'verdict' => $found->verdict->value, 'said' => RateWords::verdict($found), 'ratio' => RateWords::ratio($found->all),
            'findings' => array_map(static fn (RateFinding $of): array => [
                'scope' => $of->scope->value, 'rows' => $of->rows, 'said' => RateWords::rows($of).': '.RateWords::by($of->rate), 'ratio' => RateWords::ratio($of->rate),
                'causes' => array_map(RateWords::cause(...), $of->causes), 'to_prove' => RateWords::toProve($of),
            ], $found->findings),
        ];
    }

    /** @return list<string> */
    private static function levers(PassTurns $turns, FigureWords $words): array
    {
        $said = [];
        foreach (Lever::cases() as $lever) {
            if ($turns->worth->isLearned($lever)) {
                $worth = $turns->worth->worth($lever)->times($lever->unit() / self::INCH);
                $said[] = __('lever.'.($lever === Lever::Notch ? $turns->scale->value : $lever->value), ['deeper' => $words->said($worth, CalcUnit::Inch)]);
            }
        }

        return $said;
    }

    private static function share(?float $share): ?float
    {
        return $share === null ? null : round($share, 3);
    }
}

<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\FigureWords;
use App\Field\FoundRates;
use App\Field\PassTurns;
use App\Http\Api\Schema;
use App\Models\Field\Dig;
use App\Models\Field\SignOff;
use App\Models\Planter;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Collection;
use Ustrel\Core\Field\Calc\CalcUnit;
use Ustrel\Core\Field\Dig\FirstPassStep;
use Ustrel\Core\Field\Dig\Lever;
use Ustrel\Core\Field\Dig\SignOffKind;
use Ustrel\Core\Field\Rate\Rate;
use Ustrel\Core\Spec\DepthScale;

final readonly class FirstPassView extends Schema
{
    private const INCH = 25.4;

    public function __construct(
        /** @var list<array{key: FirstPassStep, done: bool}> In the order of work */
        public array $steps,
        /**
         * What is good for the crop of the season, in words
         *
         * @var array{
         *     depth: string|null, // As it is typed; null where the shop has none
         *     depth_band: string,
         *     rate_band: string,
         * }
         */
        public array $aims,
        /** @var list<DepthScale> In what the depth of each row is set, from row 1 */
        public array $depth_scales,
        /** @var list<string> What a turn is worth, in words: those that passes have told of */
        public array $levers,
        /** @var list<array{row: int, why: 'record'|'wing'|'track'}> */
        public array $to_dig,
        /** @var list<array{key: string, said: string}> What whoever calls the planter ready is asked about */
        public array $open,
        /** @var list<DigPassView> Of this season, the last first */
        public array $passes,
        /** @var array{season: int, passes: list<DigPassView>}|null Of the last season that was dug before */
        public ?array $before,
        /** @var list<array{id: string, kind: SignOffKind, field: string, rows: list<int>, words: string, answers: list<array{key: string, said: string, answer: string}>, by: string, happened_at: DateTimeInterface}> The newest first */
        public array $sign_offs,
    ) {
    }

    /**
     * @param  array<int, Collection<int, Dig>>  $seasons  digs, the newest first, by season
     * @param  array<string, float>  $gained  millimetres, by id of a dig
     * @param  Collection<int, SignOff>  $signOffs
     * @param  array<int, 'record'|'wing'|'track'>  $toDig
     * @param  list<array{key: string, said: string}>  $open
     * @param  list<FirstPassStep>  $steps  that are done
     */
    public static function of(Planter $planter, array $seasons, array $gained, Collection $signOffs, array $toDig, array $open, array $steps, FoundRates $rates, FigureWords $words): self
    {
        $earlier = array_filter(array_keys($seasons), static fn (int $season): bool => $season < $planter->season());
        $before = $earlier === [] ? null : max($earlier);
        $digs = $seasons[$planter->season()] ?? new Collection;
        $turns = PassTurns::of($planter, $digs, $gained);
        $aims = FoundRates::aims($planter, $digs->first()->field ?? '');
        $passes = new DigPasses($planter, $rates, $words);

        return new self(
            steps: array_map(static fn (FirstPassStep $of): array => ['key' => $of, 'done' => in_array($of, $steps, true)], FirstPassStep::cases()),
            aims: [
                'depth' => $aims->depth === null ? null : $words->bare(round($aims->depth / self::INCH, 2), CalcUnit::Inch),
                'depth_band' => $words->said(round($aims->depthBand / self::INCH, 2), CalcUnit::Inch),
                'rate_band' => __('rate.band', ['low' => round(-100 * $aims->rate->low, 1), 'high' => round(100 * $aims->rate->high, 1)]),
            ],
            depth_scales: array_map($turns->scaleOf(...), range(1, $planter->row_count)),
            levers: self::levers($turns, $words),
            to_dig: array_map(static fn (int $row, string $why): array => ['row' => $row, 'why' => $why], array_keys($toDig), $toDig),
            open: $open,
            passes: $passes->all($digs, $gained, $turns),
            before: $before === null ? null : ['season' => $before, 'passes' => $passes->all($seasons[$before], [], PassTurns::of($planter, $seasons[$before], []))],
            sign_offs: array_values($signOffs->map(static fn (SignOff $of): array => [
                'id' => $of->id, 'kind' => $of->kind, 'field' => $of->field, 'rows' => $of->rows, 'words' => $of->words, 'answers' => $of->answers, 'by' => $of->user->name, 'happened_at' => $of->happened_at,
            ])->all()),
        );
    }

    /** @return list<string> */
    private static function levers(PassTurns $turns, FigureWords $words): array
    {
        $said = [];
        foreach ($turns->worths() as $scale => $worths) {
            foreach (Lever::cases() as $lever) {
                if ($worths->isLearned($lever) && ($lever === Lever::Notch || $scale === $turns->scaleOf(0)->value)) {
                    $worth = $worths->worth($lever)->times($lever->unit() / self::INCH);
                    $said[] = __('lever.'.($lever === Lever::Notch ? $scale : $lever->value), ['deeper' => $words->said($worth, CalcUnit::Inch)]);
                }
            }
        }

        return $said;
    }
}

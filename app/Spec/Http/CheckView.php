<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Schema;
use App\Walk\Board\Board;
use App\Walk\Http\BandView;
use App\Walk\Http\DoubtView;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Figure;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\RuleName;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;

final readonly class CheckView extends Schema
{
    public function __construct(
        public CheckKey $key,
        public Station $station,
        /** Checked once, as row 0 */
        public bool $whole_planter,
        public CheckKind $kind,
        /** Of its figure; null where it takes none */
        public ?Unit $unit,
        public RuleName $rule,
        /** @var list<Side> */
        public array $sides,
        /** @var list<int>|null That have it so; null for all */
        public ?array $rows,
        /** @var array<string, FigureView> Of the spec sheet, by name */
        public array $figures,
        /** @var array<string, float> What to name on a scale, by figure name, in the check's unit */
        public array $marks,
        /** @var list<BandView> Where nothing is known of last time; empty where no figure is taken */
        public array $bands,
        /** @var list<DoubtView> On any row */
        public array $doubts,
        /** @var list<StateMeaningView> What can be answered where no figure is taken */
        public array $states,
        /** @var list<ChipMeaningView> Reasons to tick, each with the verdict that it amounts to at least */
        public array $chips,
        /** A row is judged by the median of all rows */
        public bool $compares_rows,
        /** By so much the two sides may differ, or both are to be changed; null where they are not held against each other */
        public ?float $sides_within,
        /** Where it is the shop's own */
        public ?OwnWordsView $own,
        /** Made with the fan, the pump or the drives running */
        public bool $running,
    ) {
    }

    /** @return list<self> with what the rows of the board read now */
    public static function all(Board $board): array
    {
        return array_map(static fn (Check $check): self => self::of($check, $board->figuresOf($check)), array_values($board->sheet->checks));
    }

    /** @return list<self> what some rows have otherwise than most */
    public static function ofRows(Board $board): array
    {
        return array_map(static fn (Check $check): self => self::of($check, $board->figuresOf($check)), $board->rowChecks());
    }

    /**
     * @param  list<Quantity>  $rows  what the rows read now
     */
    public static function of(Check $check, array $rows = []): self
    {
        $takesFigure = $check->kind->takesFigure();

        return new self(
            key: $check->key,
            station: $check->station,
            whole_planter: $check->isOfWholePlanter(),
            kind: $check->kind,
            unit: $takesFigure ? $check->unit : null,
            rule: $check->definition->rule,
            sides: $check->sides,
            rows: $check->rows,
            figures: array_map(FigureView::of(...), $check->figures),
            marks: array_map($check->unit->valueOf(...), $check->rule->marks()),
            bands: $takesFigure ? BandView::of($check, Background::ofRows(null, $rows)) : [],
            doubts: $takesFigure ? DoubtView::ofPlace($check, null) : [],
            states: array_map(static fn (State $state): StateMeaningView => StateMeaningView::of($check, $state), $check->kind->states()),
            chips: array_map(
                static fn (string $chip, Verdict $verdict): ChipMeaningView => new ChipMeaningView(Chip::from($chip), $verdict),
                array_keys($check->definition->chips),
                array_values($check->definition->chips),
            ),
            compares_rows: $check->comparesRows(),
            sides_within: ($within = $check->alikeWithin()) === null ? null : $within->unit()->valueOf($within),
            running: $check->definition->isRunning,
            own: $check->own === null ? null : new OwnWordsView(name: $check->own->name, how: $check->own->how),
        );
    }
}

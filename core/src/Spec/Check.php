<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\ComparesSides;
use Ustrel\Core\Spec\Rules\NearAim;
use Ustrel\Core\Spec\Rules\NearMedian;
use Ustrel\Core\Wear\WearPath;

/** A check as one spec sheet has it: on which sides, by which figures, judged by which rule. */
final readonly class Check
{
    public Station $station;

    public CheckKind $kind;

    /** The unit of its figure; of no meaning where it takes none. */
    public Unit $unit;

    public Rule $rule;

    /**
     * @param  non-empty-list<Side>  $sides
     * @param  array<string, Figure>  $figures  by name, those that the rule needs
     */
    public function __construct(
        public CheckKey $key,
        public CheckDefinition $definition,
        public array $sides,
        public array $figures,
        private ClosingWheels $wheels = ClosingWheels::Rubber,
        /** Where it is the shop's own. */
        public ?OwnCheckSpec $own = null,
        /** @var non-empty-list<int>|null Those that have it so; null for all */
        public ?array $rows = null,
    ) {
        $this->station = $definition->station;
        $this->kind = $definition->kind;
        $this->unit = $definition->unit;
        $this->rule = $definition->rule->build(array_map(static fn (Figure $figure): Quantity => $figure->quantity, $figures), $wheels);
    }

    /** As it is made and judged on a planter with this equipment. */
    public function on(Equipment $equipment): self
    {
        $sides = $this->definition->goesBySides() ? $this->definition->sides($equipment) : $this->sides;
        $counted = $this->definition->counted($equipment);
        if ($counted !== $this->definition) {
            return new self($this->key, $counted, $sides, SpecSheetReader::counted($this, $counted), $equipment->closingWheels, $this->own);
        }

        return $sides !== $this->sides || $this->definition->rule->goesByClosingWheels()
            ? new self($this->key, $this->definition, $sides, $this->figures, $equipment->closingWheels, $this->own)
            : $this;
    }

    /** @param  array<string, Figure>  $figures  by name, those that the rule of the definition needs */
    public function aimed(CheckDefinition $definition, array $figures): self
    {
        return new self($this->key, $definition, $this->sides, $figures, $this->wheels, $this->own, $this->rows);
    }

    /** @param  non-empty-list<int>  $rows  those that have it so */
    public function onRows(array $rows): self
    {
        sort($rows);

        return new self($this->key, $this->definition, $this->sides, $this->figures, $this->wheels, $this->own, $rows);
    }

    /**
     * How many readings it takes on all rows that have it so.
     *
     * @param  int  $rows  of the planter
     */
    public function countOn(int $rows): int
    {
        return count($this->sides) * ($this->rows === null ? $rows : count($this->rows));
    }

    /**
     * Whether any of these rows has it so.
     *
     * @param  list<int>  $rows
     */
    public function isOn(array $rows): bool
    {
        return $this->rows === null || array_intersect($rows, $this->rows) !== [];
    }

    public function has(Side $side): bool
    {
        return in_array($side, $this->sides, true);
    }

    public function isOfWholePlanter(): bool
    {
        return $this->station->isOfWholePlanter();
    }

    /** How its figure wears, by the spec sheet's nominal life; null where nothing does. */
    public function wear(): ?WearPath
    {
        $life = $this->figures['life'] ?? null;

        return $life === null ? null : $this->rule->wear(FurrowDistance::ofMiles(Unit::FurrowMile->valueOf($life->quantity)));
    }

    /** Whether one row's verdict hangs on what the other rows read. */
    public function comparesRows(): bool
    {
        return $this->rule instanceof NearMedian || $this->rule instanceof NearAim;
    }

    /** Whether each row has an aim of its own, by what all rows read. */
    public function hasAims(): bool
    {
        return $this->rule instanceof NearAim;
    }

    /** Whether one side's verdict hangs on what the other side reads. */
    public function comparesSides(): bool
    {
        return $this->alikeWithin() !== null;
    }

    /** By so much the two sides may differ; null where they are not held against each other. */
    public function alikeWithin(): ?Quantity
    {
        return $this->rule instanceof ComparesSides && count($this->sides) > 1 ? $this->rule->alikeWithin() : null;
    }

    public function judge(Answer $answer, Background $background): Judgement
    {
        if ($answer->quantity !== null) {
            $judgement = $this->rule->judge($answer->quantity, $background);

            return $answer->chips === [] ? $judgement : Judgement::of($judgement->verdict, ...$judgement->reasons, ...array_map(static fn (Chip $chip): Reason => new Reason($chip), $answer->chips));
        }

        return match ($answer->state) {
            State::Gap => Judgement::of(Verdict::Change, new Reason(ReasonCode::TouchGap)),
            State::Tight => Judgement::of(Verdict::Watch, new Reason(ReasonCode::TouchTight)),
            State::Light => Judgement::of(Verdict::Sound, new Reason(ReasonCode::TouchLight)),
            State::Yes => Judgement::of(Verdict::Sound, new Reason(ReasonCode::Done)),
            State::No => Judgement::of($this->definition->no, new Reason(ReasonCode::NotDone)),
            State::Sound => $this->condition(Verdict::Sound, $answer->chips),
            State::Watch => $this->condition(Verdict::Watch, $answer->chips),
            State::Change => $this->condition(Verdict::Change, $answer->chips),
            State::Failed => $this->condition(Verdict::Failed, $answer->chips),
            null => Judgement::of(Verdict::Unchecked),
        };
    }

    /**
     * The verdict is what the technician said; the reasons explain it. Only a reason beside "sound" weighs what the catalogue
     * says, and what makes a row unsafe to run goes before all.
     *
     * @param  list<Chip>  $chips
     */
    private function condition(Verdict $said, array $chips): Judgement
    {
        $weights = array_map(fn (Chip $chip): Verdict => $this->definition->chips[$chip->value] ?? Verdict::Watch, $chips);
        $reasons = array_map(static fn (Chip $chip): Reason => new Reason($chip), $chips);

        return $reasons === []
            ? Judgement::of($said, new Reason(ReasonCode::LookedAt))
            : Judgement::of($said === Verdict::Sound || in_array(Verdict::Failed, $weights, true) ? Verdict::worst([$said, ...$weights]) : $said, ...$reasons);
    }
}

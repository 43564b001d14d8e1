<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\RuleName;
use Ustrel\Core\Unit\Assembly;
use Ustrel\Core\Unit\Condition;
use Ustrel\Core\Unit\InvalidCatalogue;

/** What a check is on every planter that has it; its figures come from the spec sheet, or else from here. */
final readonly class CheckDefinition
{
    /** What is written in core/units for the sides of a row. */
    private const SIDES = ['row' => [Side::Centre], 'both' => [Side::Left, Side::Right]];

    /**
     * @param  array<string, Verdict>  $chips  the reasons that can be ticked, each with the verdict that it amounts to at least
     * @param  list<array{Condition, non-empty-list<Side>}>  $sides  where it is made, by what the planter carries: the first that holds
     * @param  array<mixed>  $figures  typical ones, as a spec sheet has them; empty where every spec sheet brings its own
     */
    private function __construct(
        public Station $station,
        public CheckKind $kind,
        public RuleName $rule = RuleName::Recorded,
        public Unit $unit = Unit::Mark,
        public array $chips = [],
        /** What "no" amounts to. */
        public Verdict $no = Verdict::Change,
        /** It is made with the fan, the pump or the drives running. */
        public bool $isRunning = false,
        private Condition $with = new Condition([[]]),
        private array $sides = [],
        public array $figures = [],
        /** @var array<mixed>|null typical figures beside the target that a planter may say itself; null where it may say none */
        public ?array $wanted = null,
        /** @var list<array{Condition, Unit, array<mixed>}> in what it is counted by what a planter carries, with the typical figures of that unit: the first that holds */
        private array $units = [],
    ) {
    }

    /**
     * @param  array<mixed>  $given  shape: docs/formats.md
     * @param  array<string, Assembly>  $assemblies
     *
     * @throws InvalidCatalogue
     */
    public static function read(string $key, array $given, array $assemblies): self
    {
        $text = static fn (string $field): string => is_string($given[$field] ?? null) ? $given[$field] : '';
        $kind = CheckKind::tryFrom($text('kind')) ?? throw InvalidCatalogue::shape($key);
        $chips = [];
        foreach (is_array($given['chips'] ?? null) ? $given['chips'] : [] as $chip => $verdict) {
            $isKnown = Chip::tryFrom((string) $chip) !== null && is_string($verdict);
            $chips[(string) $chip] = ($isKnown ? Verdict::tryFrom($verdict) : null) ?? throw InvalidCatalogue::unknown($key, (string) $chip);
        }
        $sides = [];
        foreach (is_array($given['sides'] ?? null) ? $given['sides'] : [['with' => [], 'sides' => $given['sides'] ?? 'row']] as $entry) {
            $where = is_array($entry) && is_string($entry['sides'] ?? null) ? $entry['sides'] : '';
            $sides[] = [Condition::read($key, is_array($entry) ? $entry['with'] ?? null : null, $assemblies), self::SIDES[$where] ?? throw InvalidCatalogue::shape($key)];
        }
        $units = [];
        foreach (is_array($given['units'] ?? null) ? $given['units'] : [] as $entry) {
            $unit = is_array($entry) && is_string($entry['unit'] ?? null) ? Unit::tryFrom($entry['unit']) : null;
            $units[] = [Condition::read($key, is_array($entry) ? $entry['with'] ?? null : null, $assemblies), $unit ?? throw InvalidCatalogue::shape($key), is_array($entry['figures'] ?? null) ? $entry['figures'] : []];
        }

        return new self(
            Station::tryFrom($text('station')) ?? throw InvalidCatalogue::unknown($key, $text('station')),
            $kind,
            $text('rule') === '' ? RuleName::Recorded : RuleName::tryFrom($text('rule')) ?? throw InvalidCatalogue::unknown($key, $text('rule')),
            $kind === CheckKind::Measure ? Unit::Millimetre : Unit::tryFrom($text('unit')) ?? Unit::Mark,
            ($given['off_to_a_side'] ?? false) === true ? ['off_left' => Verdict::Sound, 'off_right' => Verdict::Sound] : $chips,
            Verdict::tryFrom($text('no')) ?? Verdict::Change,
            ($given['running'] ?? false) === true,
            Condition::read($key, $given['with'] ?? [], $assemblies),
            $sides,
            is_array($given['figures'] ?? null) ? $given['figures'] : [],
            is_array($given['wanted'] ?? null) ? $given['wanted'] : null,
            $units,
        );
    }

    public static function setting(Station $station, Unit $unit, RuleName $rule = RuleName::Recorded): self
    {
        return new self($station, CheckKind::Setting, $rule, $unit);
    }

    public static function yesNo(Station $station, Verdict $no): self
    {
        return new self($station, CheckKind::YesNo, no: $no);
    }

    /** @param  array<string, Verdict>  $chips  by chip value */
    public static function condition(Station $station, array $chips): self
    {
        return new self($station, CheckKind::Condition, chips: $chips);
    }

    public function leftAndRight(): self
    {
        return new self($this->station, $this->kind, $this->rule, $this->unit, $this->chips, $this->no, $this->isRunning, $this->with, [[Condition::always(), self::SIDES['both']]], $this->figures, $this->wanted, $this->units);
    }

    /** As a planter has it that counts it in another unit. */
    public function counted(Equipment $on): self
    {
        foreach ($this->units as [$with, $unit, $figures]) {
            if ($with->holds($on)) {
                return new self($this->station, $this->kind, $this->rule, $unit, $this->chips, $this->no, $this->isRunning, $this->with, $this->sides, $figures + $this->figures, $this->wanted);
            }
        }

        return $this;
    }

    /** As a planter has it that says its own target. */
    public function aimed(): self
    {
        return new self($this->station, $this->kind, RuleName::Target, $this->unit, $this->chips, $this->no, $this->isRunning, $this->with, $this->sides, ($this->wanted ?? []) + $this->figures, $this->wanted, $this->units);
    }

    /** Whether a planter that carries this has it. */
    public function isOn(Equipment $equipment): bool
    {
        return $this->with->holds($equipment);
    }

    /**
     * @param  Equipment|null  $equipment  null for the sides that most have
     * @return non-empty-list<Side>
     */
    public function sides(?Equipment $equipment = null): array
    {
        foreach ($this->sides as [$with, $sides]) {
            if ($equipment === null ? $with->isAlways() : $with->holds($equipment)) {
                return $sides;
            }
        }

        return self::SIDES['row'];
    }

    /** Whether what the planter carries decides about its sides. */
    public function goesBySides(): bool
    {
        return array_filter($this->sides, static fn (array $entry): bool => ! $entry[0]->isAlways()) !== [];
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Closure;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Rules\RuleName;

/** What a check is on every row unit that has it; the figures come from the spec sheet. Made by the Catalogue. */
final readonly class CheckDefinition
{
    /**
     * @param  non-empty-list<Side>  $sides  where a spec sheet does not say otherwise
     * @param  array<string, Verdict>  $chips  the reasons that can be ticked, each with the verdict that it amounts to at least
     * @param  Closure(Equipment): bool  $isFitted
     * @param  (Closure(Equipment): non-empty-list<Side>)|null  $sidesOn  the sides, where the planter decides about them
     */
    private function __construct(
        public Station $station,
        public CheckKind $kind,
        public array $sides,
        public Closure $isFitted,
        public RuleName $rule = RuleName::Recorded,
        public Unit $unit = Unit::Mark,
        public array $chips = [],
        /** What "no" amounts to. */
        public Verdict $no = Verdict::Change,
        public ?Closure $sidesOn = null,
        /** It is made with the fan, the pump or the drives running. */
        public bool $isRunning = false,
    ) {
    }

    public static function measure(Station $station, RuleName $rule): self
    {
        return new self($station, CheckKind::Measure, [Side::Centre], self::always(...), $rule, Unit::Millimetre);
    }

    public static function setting(Station $station, Unit $unit, RuleName $rule = RuleName::Recorded): self
    {
        return new self($station, CheckKind::Setting, [Side::Centre], self::always(...), $rule, $unit);
    }

    public static function count(Station $station, Unit $unit, RuleName $rule): self
    {
        return new self($station, CheckKind::Count, [Side::Centre], self::always(...), $rule, $unit);
    }

    public static function touch(Station $station): self
    {
        return new self($station, CheckKind::Touch, [Side::Centre], self::always(...));
    }

    public static function yesNo(Station $station, Verdict $no): self
    {
        return new self($station, CheckKind::YesNo, [Side::Centre], self::always(...), no: $no);
    }

    /** @param  array<string, Verdict>  $chips  by chip value */
    public static function condition(Station $station, array $chips): self
    {
        return new self($station, CheckKind::Condition, [Side::Centre], self::always(...), chips: $chips);
    }

    public function leftAndRight(): self
    {
        return new self($this->station, $this->kind, [Side::Left, Side::Right], $this->isFitted, $this->rule, $this->unit, $this->chips, $this->no, $this->sidesOn, $this->isRunning);
    }

    /** @param  Closure(Equipment): bool  $isFitted */
    public function where(Closure $isFitted): self
    {
        return new self($this->station, $this->kind, $this->sides, $isFitted, $this->rule, $this->unit, $this->chips, $this->no, $this->sidesOn, $this->isRunning);
    }

    /** @param  Closure(Equipment): non-empty-list<Side>  $sidesOn */
    public function sided(Closure $sidesOn): self
    {
        return new self($this->station, $this->kind, $this->sides, $this->isFitted, $this->rule, $this->unit, $this->chips, $this->no, $sidesOn, $this->isRunning);
    }

    /** A figure that is off to one side or the other, which is said with it. */
    public function toASide(): self
    {
        return new self($this->station, $this->kind, $this->sides, $this->isFitted, $this->rule, $this->unit, ['off_left' => Verdict::Sound, 'off_right' => Verdict::Sound], $this->no, $this->sidesOn, $this->isRunning);
    }

    /** It is made with the fan, the pump or the drives running. */
    public function running(): self
    {
        return new self($this->station, $this->kind, $this->sides, $this->isFitted, $this->rule, $this->unit, $this->chips, $this->no, $this->sidesOn, true);
    }

    private static function always(): bool
    {
        return true;
    }
}

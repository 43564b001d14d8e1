<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use Ustrel\Core\Parts\Slot;

/** When what is changed on a planter: a school, or the shop's own rule for each kind of slot. What no rule is for goes by its limit. */
final readonly class Policy
{
    private SlotRule $limit;

    /** @param  array<string, SlotRule>  $rules  by slot */
    private function __construct(
        public Strategy $school,
        public array $rules,
    ) {
        $this->limit = new SlotRule(ChangeWhen::PastLimit);
    }

    public static function of(Strategy $school): self
    {
        return new self($school, $school->rules());
    }

    /**
     * @param  array<string, SlotRule>  $rules  by slot
     *
     * @throws InvalidPolicy without any
     */
    public static function own(array $rules): self
    {
        return $rules === [] ? throw InvalidPolicy::noSlot() : new self(Strategy::Own, $rules);
    }

    /**
     * The shop's own, as it is kept.
     *
     * @param  array<mixed>  $kept  by slot: when, and where they are not usual share, scope, with, looks
     *
     * @throws InvalidPolicy
     */
    public static function ownOf(array $kept): self
    {
        $rules = [];
        foreach ($kept as $slot => $rule) {
            $rules[Slot::tryFrom((string) $slot)->value ?? throw InvalidPolicy::unknown((string) $slot)] = SlotRule::of(is_array($rule) ? $rule : []);
        }

        return self::own($rules);
    }

    /** @return array<string, array{when: string, share: float, scope: string, with: list<string>, looks: int}> as it is kept */
    public function toArray(): array
    {
        return array_map(static fn (SlotRule $rule): array => $rule->toArray(), $this->rules);
    }

    /** The same, but for one kind of slot as another policy has it. */
    public function with(Slot $slot, self $other): self
    {
        return new self($this->school, [$slot->value => $other->ruleFor($slot)] + $this->rules);
    }

    public function ruleFor(Slot $slot): SlotRule
    {
        return $this->rules[$slot->value] ?? $this->limit;
    }

    /** The same with another share wherever a share is what makes it due; null where none is. */
    public function withShare(float $share): ?self
    {
        $rules = array_map(static fn (SlotRule $rule): SlotRule => $rule->when === ChangeWhen::ShareGone ? $rule->withShare($share) : $rule, $this->rules);

        return $this->share() === null ? null : new self($this->school, $rules);
    }

    /** The smallest share that makes anything due; null where none does. */
    public function share(): ?float
    {
        $shares = [];
        foreach ($this->rules as $rule) {
            if ($rule->when === ChangeWhen::ShareGone) {
                $shares[] = $rule->share;
            }
        }

        return $shares === [] ? null : min($shares);
    }
}

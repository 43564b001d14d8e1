<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Policy;

use BackedEnum;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Unit\Key;

/** What a policy says of one kind of slot. What is past its limit is changed under every rule. */
final readonly class SlotRule
{
    public const MOST_LOOKS = 2;

    /** A share is reached where it is met. */
    private const NEAR = 1e-9;

    /**
     * @param  float  $share  of the allowance gone, over 0 to 1, where that is what makes it due
     * @param  list<Slot>  $with  what is changed along with it on the same row
     * @param  int  $looks  how often a season it is looked at for that: 1 before planting, 2 half way through as well
     *
     * @throws InvalidPolicy
     */
    public function __construct(
        public ChangeWhen $when,
        public float $share = 1.0,
        public Scope $scope = Scope::Row,
        public array $with = [],
        public int $looks = 1,
    ) {
        if (! ($share > 0 && $share <= 1)) {
            throw InvalidPolicy::share($share);
        }
        if ($looks < 1 || $looks > self::MOST_LOOKS) {
            throw InvalidPolicy::looks($looks);
        }
    }

    /**
     * @param  array<mixed>  $kept  as toArray has it; what is left out is as usual
     *
     * @throws InvalidPolicy
     */
    public static function of(array $kept): self
    {
        $share = $kept['share'] ?? 1.0;
        $looks = $kept['looks'] ?? 1;
        $with = is_array($kept['with'] ?? []) ? $kept['with'] ?? [] : throw InvalidPolicy::unknown('with');

        return new self(
            self::case(ChangeWhen::class, $kept['when'] ?? ''),
            is_int($share) || is_float($share) ? (float) $share : throw InvalidPolicy::unknown('share'),
            self::case(Scope::class, $kept['scope'] ?? Scope::Row->value),
            array_values(array_map(static fn (mixed $slot): Slot => self::case(Slot::class, $slot), $with)),
            is_int($looks) ? $looks : throw InvalidPolicy::unknown('looks'),
        );
    }

    /**
     * @template T of BackedEnum|Key
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    private static function case(string $enum, mixed $value): BackedEnum|Key
    {
        return (is_string($value) ? $enum::tryFrom($value) : null) ?? throw InvalidPolicy::unknown(is_string($value) ? $value : gettype($value));
    }

    /** @return array{when: string, share: float, scope: string, with: list<string>, looks: int} */
    public function toArray(): array
    {
        return ['when' => $this->when->value, 'share' => $this->share, 'scope' => $this->scope->value, 'with' => array_map(static fn (Slot $slot): string => $slot->value, $this->with), 'looks' => $this->looks];
    }

    /**
     * @param  float  $gone  share of the allowance gone
     * @param  float|null  $goneAtEnd  the same as expected by the end of the season; null where nobody knows
     */
    public function isDue(float $gone, ?float $goneAtEnd): bool
    {
        return 1 - $gone < $this->dueUnder(1.0, max(0.0, ($goneAtEnd ?? $gone) - $gone));
    }

    /**
     * The same said of the room that is left: it is due with less room than this.
     *
     * @param  float  $allowance  room when new
     * @param  float  $ahead  room that is expected to go by the end of the season
     */
    public function dueUnder(float $allowance, float $ahead): float
    {
        return match ($this->when) {
            ChangeWhen::PastLimit => 0.0,
            ChangeWhen::ShareGone => $allowance * (1 - $this->share + self::NEAR),
            ChangeWhen::WouldNotLast => $ahead,
            ChangeWhen::Always => INF,
        };
    }

    public function withShare(float $share): self
    {
        return new self($this->when, $share, $this->scope, $this->with, $this->looks);
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** A verdict with its reasons, the weightiest first. */
final readonly class Judgement
{
    /** @param  list<Reason>  $reasons */
    private function __construct(
        public Verdict $verdict,
        public array $reasons,
    ) {
    }

    public static function of(Verdict $verdict, Reason ...$reasons): self
    {
        return new self($verdict, array_values($reasons));
    }

    /** The row has no such part: looked at, and nothing to do. */
    public static function notFitted(): self
    {
        return self::of(Verdict::Sound, new Reason(ReasonCode::NotFitted));
    }

    /** Looked over and found sound, without a figure or a closer look. */
    public static function lookedSound(): self
    {
        return self::of(Verdict::Sound, new Reason(ReasonCode::LookedSound));
    }

    public function equals(self $other): bool
    {
        if ($this->verdict !== $other->verdict || count($this->reasons) !== count($other->reasons)) {
            return false;
        }
        foreach ($this->reasons as $index => $reason) {
            if (! $reason->equals($other->reasons[$index])) {
                return false;
            }
        }

        return true;
    }
}

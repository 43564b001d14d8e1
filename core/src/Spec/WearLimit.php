<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;

/** A part that wears down from its new size: at the limit it is still "watch", under it "change". */
final readonly class WearLimit implements Rule
{
    public function __construct(
        public Length $new,
        public Length $limit,
        /** From the limit up to this far above it a part is "watch". */
        public Length $margin,
    ) {
    }

    public function judge(Length $value, ?Length $last): Judgement
    {
        if ($value->isLessThan($this->limit)) {
            return Judgement::of(Verdict::Change, new Reason(ReasonCode::UnderLimit, $this->limit));
        }

        $reasons = [];
        if ($value->equals($this->limit)) {
            $reasons[] = new Reason(ReasonCode::AtLimit, $this->limit);
        } elseif (! $value->isGreaterThan($this->limit->plus($this->margin))) {
            $reasons[] = new Reason(ReasonCode::NearLimit, $this->limit);
        }
        if ($last !== null && $this->losesTheRest($value, $last)) {
            $reasons[] = new Reason(ReasonCode::WillNotLast, $this->limit);
        }

        return $reasons === []
            ? Judgement::of(Verdict::Sound, new Reason(ReasonCode::AboveLimit, $this->limit))
            : Judgement::of(Verdict::Watch, ...$reasons);
    }

    public function breakPoints(?Length $last): array
    {
        $limit = $this->limit->nanometres;
        $points = [$limit, $limit + 1, $limit + $this->margin->nanometres + 1];
        if ($last !== null) {
            // Lost again what was lost: value - (last - value) < limit, so value < (limit + last) / 2.
            $points[] = intdiv($limit + $last->nanometres + 1, 2);
        }

        return $points;
    }

    public function lifeLeft(Length $value): float
    {
        $left = $value->minus($this->limit)->nanometres / $this->new->minus($this->limit)->nanometres;

        return max(0.0, min(1.0, $left));
    }

    public function largest(): Length
    {
        return $this->new;
    }

    public function onlyShrinks(): bool
    {
        return true;
    }

    private function losesTheRest(Length $value, Length $last): bool
    {
        $loss = $last->minus($value);

        return $loss->nanometres > 0 && $value->minus($loss)->isLessThan($this->limit);
    }
}

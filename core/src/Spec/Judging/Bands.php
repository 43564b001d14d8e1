<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;

/**
 * A rule compiled for a look-up: ordered bands from the lowest value upwards. The client judges with them where there is no signal,
 * and the scale strip draws them. They are the rule's own answers, taken at each of its break points.
 */
final readonly class Bands
{
    /** @param  non-empty-list<Band>  $bands ascending, the first from the lowest value that can be typed */
    private function __construct(public array $bands)
    {
    }

    public static function compile(Rule $rule, Unit $unit, Background $background): self
    {
        $lowest = $unit->lowest();
        $points = array_filter($rule->breakPoints($background), static fn (int $point): bool => $point > $lowest);
        $points = array_unique($points);
        sort($points);

        $bands = [new Band($lowest, $rule->judge($unit->quantity($lowest), $background))];
        foreach ($points as $point) {
            $judgement = $rule->judge($unit->quantity($point), $background);
            if (! $judgement->equals($bands[count($bands) - 1]->judgement)) {
                $bands[] = new Band($point, $judgement);
            }
        }

        return new self($bands);
    }

    public function judge(Quantity $value): Judgement
    {
        $found = $this->bands[0];
        foreach ($this->bands as $band) {
            if ($band->from > $value->steps()) {
                break;
            }
            $found = $band;
        }

        return $found->judgement;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;

/**
 * A rule compiled for a look-up: ordered bands from 0 upwards. The client judges with them where there is no signal,
 * and the scale strip draws them. They are the rule's own answers, taken at each of its break points.
 */
final readonly class Bands
{
    /** @param  non-empty-list<Band>  $bands ascending, the first from 0 */
    private function __construct(public array $bands)
    {
    }

    public static function compile(Rule $rule, ?Length $last): self
    {
        $points = array_filter($rule->breakPoints($last), static fn (int $point): bool => $point > 0);
        $points = array_unique([0, ...$points]);
        sort($points);

        $bands = [new Band(0, $rule->judge(Length::ofNanometres(0), $last))];
        foreach (array_slice($points, 1) as $point) {
            $judgement = $rule->judge(Length::ofNanometres($point), $last);
            if (! $judgement->equals($bands[count($bands) - 1]->judgement)) {
                $bands[] = new Band($point, $judgement);
            }
        }

        return new self($bands);
    }

    public function judge(Length $value): Judgement
    {
        $found = $this->bands[0];
        foreach ($this->bands as $band) {
            if ($band->from > $value->nanometres) {
                break;
            }
            $found = $band;
        }

        return $found->judgement;
    }
}

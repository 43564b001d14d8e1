<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

use Ustrel\Core\Measure\FurrowDistance;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Wear\WearPath;

/** How a figure is judged. All quantities of one rule are of one unit. */
interface Rule
{
    public function judge(Quantity $value, Background $background): Judgement;

    /**
     * Where the judgement may turn. Between one point and the next it is the same for every value, the lower point
     * included and the upper one not.
     *
     * @return list<int> steps, in any order
     */
    public function breakPoints(Background $background): array;

    /** The share of the usable size that is left, 0 (at or past the limit) to 1 (as new); null where nothing wears. */
    public function lifeLeft(Quantity $value): ?float;

    /** The largest size that the part can have; null where a part has no such size. */
    public function largest(): ?Quantity;

    public function trend(): Trend;

    /**
     * How the figure wears; null where it is set by hand.
     *
     * @param  FurrowDistance  $life  nominal
     */
    public function wear(FurrowDistance $life): ?WearPath;

    /** @return array<string, Quantity> the figures to name on a scale, by figure name */
    public function marks(): array;

    /**
     * What does not go together in the figures that the rule was made of.
     *
     * @return array<string, string> a code worded under `spec.<code>` in lang/en, by figure name
     */
    public function faults(): array;
}

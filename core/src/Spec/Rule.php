<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Measure\Length;

/** How a measured check is judged. */
interface Rule
{
    /**
     * @param  Length|null  $last  what the same place read in an earlier season, if it was read
     */
    public function judge(Length $value, ?Length $last): Judgement;

    /**
     * Where the judgement may turn. Between one point and the next it is the same for every value, the lower point
     * included and the upper one not.
     *
     * @return list<int> nanometres, in any order
     */
    public function breakPoints(?Length $last): array;

    /** The share of the usable size that is left, 0 (at or past the limit) to 1 (as new or at the aim). */
    public function lifeLeft(Length $value): float;

    /** The largest size that the part can have; null where a part has no such size. */
    public function largest(): ?Length;

    /** Whether the figure only falls until something is changed. */
    public function onlyShrinks(): bool;
}

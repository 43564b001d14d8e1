<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

use Ustrel\Core\Spec\Judging\Verdict;

/** What is to be feared where a finding is left: the chance that it reaches its limit, or stops the row, within the season. */
final readonly class Risk
{
    /** What is believed of a condition before the shop has a record of any: so many of so many. */
    private const PRIOR = ['watch' => [0.5, 5.0], 'change' => [1.5, 5.0]];

    /** Under so many findings left the shop's record is thin. */
    private const FEWEST = 5;

    private function __construct(
        /** 0 to 1; null where nobody can tell. */
        public ?float $chance,
        public bool $isThin,
        /** The row cannot run as it is. */
        public bool $stopsNow,
        /** Findings of the kind that the shop left, where the chance stands on them. */
        public ?int $left = null,
        /** It read past its limit, and the other readings say otherwise: measure it again. */
        public bool $isDoubted = false,
    ) {
    }

    public static function unknown(): self
    {
        return new self(null, true, false);
    }

    public static function stopped(): self
    {
        return new self(1.0, false, true);
    }

    /**
     * Of what read past its limit: nothing is more likely to stop the row, whatever the other readings say.
     *
     * @param  float|null  $chance  by all readings together
     */
    public static function pastLimit(?float $chance): self
    {
        return new self(1.0, false, false, null, $chance !== null && $chance < 0.5);
    }

    public static function ofWear(float $chance, bool $isThin): self
    {
        return new self($chance, $isThin, false);
    }

    /**
     * Of a condition: by the shop's own record of such findings left, with a beta prior that counts as five of them.
     *
     * @param  Verdict  $verdict  watch or change
     * @param  int  $left  such findings that were left, 0 or more
     * @param  int  $failed  of them, those that stopped the row or grew worse within the season
     */
    public static function ofRecord(Verdict $verdict, int $left, int $failed): self
    {
        [$sure, $of] = self::PRIOR[$verdict->value] ?? self::PRIOR['change'];

        return new self(($failed + $sure) / ($left + $of), $left < self::FEWEST, false, $left);
    }
}

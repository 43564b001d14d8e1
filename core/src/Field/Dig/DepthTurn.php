<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

use Ustrel\Core\Field\MarkToDepth;
use Ustrel\Core\Field\TooFewMarks;
use Ustrel\Core\Spec\DepthScale;

/**
 * How far a row's depth is moved, in what its scale counts (domain, 10): by what one was worth on the planter's own passes; before that,
 * notches by the spec sheet, a scale in inches by itself, and marks, turns or holes by a line through rows that stand at different ones.
 */
final readonly class DepthTurn
{
    /** 90 % of a normal distribution, on one side. */
    private const Z = 1.645;

    private function __construct(
        /** Up the scale where it is positive. */
        public float $by,
        /** Whether the row plants deeper after it. */
        public bool $isDeeper,
        /** Whether the depth to expect after it can be told: what a turn is worth is known by the passes or by the sheet. */
        public bool $tellsDepth,
    ) {
    }

    /**
     * @param  TurnWorth|null  $worth  null for a pass that others have followed: what was told then stays as it was
     * @param  array<int, float>  $stands  mark of each row that was dug, by row, where it is known
     * @param  float  $target  millimetres
     * @param  float  $notch  depth of one by the sheet, millimetres
     * @param  float  $gained  by which blades that were changed since plant deeper, millimetres
     * @return self|null null where the row was not dug enough, or nothing tells what a mark or a turn is worth
     */
    public static function of(int $row, DepthScale $scale, DugRows $dug, ?TurnWorth $worth, array $stands, float $target, float $notch, float $gained = 0.0): ?self
    {
        $known = $scale->worth($notch);
        if ($worth !== null && $worth->isLearned(Lever::Notch)) {
            $by = $worth->turn($row, Lever::Notch, $target, $scale->step());
            if ($by !== null || $known === null) {
                return $by === null ? null : new self($by, $by * $worth->worth(Lever::Notch)->value > 0, $by !== 0.0);
            }
        }
        $depth = $dug->depth($row);
        $each = $known ?? self::slope($dug, $stands);
        if ($depth === null || $each === null) {
            return null;
        }
        $by = round(($target - $depth[0] - $gained) / $each / $scale->step()) * $scale->step() + 0.0;

        return new self($by, $by * $each > 0, $by !== 0.0 && $worth !== null && $known !== null);
    }

    /**
     * Millimetres a mark; null where rows at different marks do not differ by more than their digs may.
     *
     * @param  array<int, float>  $stands
     */
    private static function slope(DugRows $dug, array $stands): ?float
    {
        $digs = [];
        $variance = 0.0;
        foreach ($stands as $row => $mark) {
            $mean = $dug->mean($row);
            if ($mean !== null) {
                $digs[] = [$mark, $mean[0]];
                $variance = max($variance, $mean[1] ** 2);
            }
        }
        try {
            $line = MarkToDepth::fit($digs);
        } catch (TooFewMarks) {
            return null;
        }

        return $line->isSteeperThan(self::Z * sqrt(max($variance, ($line->sd ?? 0.0) ** 2))) ? $line->slope : null;
    }
}

<?php

declare(strict_types=1);

namespace App\Parts\Http;

use App\Http\Api\Schema;
use App\Models\Parts\PartType;
use App\Parts\PartLives;
use Ustrel\Core\Parts\Life\LifeComparison;

final readonly class PartLivesView extends Schema
{
    public function __construct(
        public LifeCurveView $curve,
        public ?LifeCurveView $against,
        /**
         * By the log-rank test, its chance by shuffling
         *
         * @var array{
         *     clear: bool, // The lives differ by more than luck explains
         *     too_few: bool, // Of either type too few have ended to tell
         *     longer: int|null, // The part type that lasts longer; null where it is not clear
         *     luck: float|null, // Chance of a difference this great if both lasted alike; null where too few have ended
         * }|null
         */
        public ?array $comparison,
    ) {
    }

    public static function of(PartType $type, PartLives $lives, ?PartType $other, ?PartLives $othersLives): self
    {
        $comparison = $othersLives === null ? null : LifeComparison::of($lives->lives, $othersLives->lives);

        return new self(
            curve: LifeCurveView::of($type, $lives),
            against: $other === null || $othersLives === null ? null : LifeCurveView::of($other, $othersLives),
            comparison: $comparison === null ? null : [
                'clear' => $comparison->isClear(),
                'too_few' => $comparison->tooFew,
                'longer' => $comparison->isClear() ? ($comparison->hazard < 1 ? $type->id : $other?->id) : null,
                'luck' => $comparison->luck === null ? null : round($comparison->luck, 4),
            ],
        );
    }
}

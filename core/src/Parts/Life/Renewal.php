<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Parts\Fitted;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** A place of a walk that was given another part, or has to be measured again, since it was looked at. */
final readonly class Renewal
{
    /**
     * @param  Result  $result  Fitted or MeasureAgain
     * @param  Quantity|null  $size  of the part that went in, where this place reads it
     * @param  float|null  $lifeLeft  0 to 1
     * @param  Moment  $at  when that was done
     */
    public function __construct(
        public Place $place,
        public Result $result,
        public ?Quantity $size,
        public Judgement $judgement,
        public ?float $lifeLeft,
        public Moment $at,
    ) {
    }
}

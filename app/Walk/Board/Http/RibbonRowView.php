<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\OmittedWhenNull;
use App\Http\Api\Schema;
use App\Walk\Board\RibbonRow;
use Ustrel\Core\Spec\Judging\Verdict;

final readonly class RibbonRowView extends Schema
{
    public function __construct(
        public int $row,
        public Verdict $verdict,
        /** 0 to 1, of the worst part */
        public ?float $life_left,
        /** Places of the row looked at */
        public int $checked,
        /** What a walk is expected to find; missing once somebody has looked, or where nothing is known */
        #[OmittedWhenNull] public ?Verdict $expected,
        /** Up, and not planting: nothing is asked of it */
        #[OmittedWhenNull] public ?bool $parked,
    ) {
    }

    public static function of(RibbonRow $row): self
    {
        return new self($row->row, $row->verdict, $row->lifeLeft, $row->checked, $row->expected, $row->isParked ?: null);
    }
}

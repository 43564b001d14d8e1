<?php

declare(strict_types=1);

namespace App\Opener\Http;

use App\Http\Api\Schema;
use Ustrel\Core\Opener\ShimAdviceCode;

final readonly class ShimAdviceView extends Schema
{
    public function __construct(
        /** Worded under shims.CODE in lang/en */
        public ShimAdviceCode $code,
        /** Shims to add on the left; negative to take out */
        public int $left,
        public int $right,
        /** Shims on each side afterwards */
        public ?int $pack,
        /** Contact length to be expected after */
        public ?float $expected_mm,
        public ?float $sd_mm,
        /** The sides do not carry the same number */
        public bool $uneven,
        /** Longer than the window, not shorter */
        public bool $long,
    ) {
    }
}

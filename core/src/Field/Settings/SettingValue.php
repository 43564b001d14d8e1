<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Measure\Moment;

/** Something was set to something: on the planter as a whole, or on one row. */
final readonly class SettingValue
{
    /** @param  int  $row  0 for the planter as a whole */
    public function __construct(
        public string $id,
        public SettingKey $key,
        public int $row,
        public string $value,
        public SettingGround $ground,
        public Moment $at,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Settings;

use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Spec\DepthScale;

/** What a line says that one thing was set to. */
final readonly class SaidSetting
{
    /**
     * @param  non-empty-list<int>  $rows  0 for the planter as a whole
     * @param  string  $value  in words, where it has no unit
     * @param  float|null  $figure  where it has one, in the unit of its key
     * @param  UnitSystem|null  $units  that the figure is in; null where its unit was not said
     * @param  DepthScale|null  $scale  that a depth is set on; null where it was not said
     */
    public function __construct(
        public SettingKey $key,
        public array $rows,
        public string $value,
        public ?float $figure,
        public ?UnitSystem $units,
        public ?DepthScale $scale = null,
    ) {
    }
}

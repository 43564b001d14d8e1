<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Rate;

use Ustrel\Core\Field\Calc\SprocketBox;
use Ustrel\Core\Field\Calc\SprocketSet;

/** What the record knows of what turns the meters. */
final readonly class DriveKnown
{
    /**
     * @param  bool  $hasSprockets  false where a motor turns each meter at a speed that the monitor works out
     * @param  SprocketSet|null  $sprockets  that should be in
     * @param  list<int>  $box  teeth of those that the shop has besides; none where it has not said, and any could be in
     * @param  int|null  $cells  of the disc or plate that should be in
     * @param  list<int>  $otherCells  of the other discs that the shop has
     * @param  bool|null  $wheelTouches  whether the drive wheel bears on the ground; null where nobody looked
     */
    public function __construct(
        public bool $hasSprockets = true,
        public ?SprocketSet $sprockets = null,
        public array $box = [],
        public ?int $cells = null,
        public array $otherCells = [],
        public ?bool $wheelTouches = null,
    ) {
    }

    /**
     * What one mistake makes of the sprockets that should be in: another one in one place, or a pair the wrong way round.
     *
     * @return list<SprocketSet>
     */
    public function oneMistakeAway(): array
    {
        if ($this->sprockets === null) {
            return [];
        }
        $stages = $this->sprockets->stages;
        $sets = [];
        foreach ($stages as $at => [$driver, $driven]) {
            $others = [[$driven, $driver]];
            foreach ($this->box ?: range(SprocketBox::LEAST, SprocketBox::MOST) as $teeth) {
                array_push($others, [$teeth, $driven], [$driver, $teeth]);
            }
            foreach ($others as $other) {
                $set = new SprocketSet(array_values(array_replace($stages, [$at => $other])));
                $sets[$set->said()] = $set;
            }
        }
        unset($sets[$this->sprockets->said()]);

        return array_values($sets);
    }
}

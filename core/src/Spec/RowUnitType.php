<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** The kinds of row unit that ship with typical values. */
enum RowUnitType: string
{
    case Vacuum = 'vacuum';
    case Finger = 'finger';
    case Plate = 'plate';
    case SingleDiscDrill = 'single_disc_drill';
}

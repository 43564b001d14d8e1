<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** What turns the meters. */
enum Drive: string
{
    case Ground = 'ground';
    /** The row's own press wheel. */
    case PressWheel = 'press_wheel';
    /** A shaft along the toolbar, without chains to the rows. */
    case Shaft = 'shaft';
    case Hydraulic = 'hydraulic';
    case Electric = 'electric';

    /** Whether it turns as far as the planter rolls, over a tire or a press wheel. */
    public function isByGround(): bool
    {
        return $this === self::Ground || $this === self::PressWheel;
    }

    /** Whether a chain runs to each row's meter. */
    public function hasChains(): bool
    {
        return $this === self::Ground || $this === self::PressWheel || $this === self::Hydraulic;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** One thing looked at or measured; the cases stand in the order in which a row is walked. */
enum CheckKey: string
{
    case OpenerBladeDiameter = 'opener_blade_diameter';
    case BladeContactLength = 'blade_contact_length';

    public function station(): Station
    {
        return match ($this) {
            self::OpenerBladeDiameter => Station::OpenerBlades,
            self::BladeContactLength => Station::BladeContact,
        };
    }
}

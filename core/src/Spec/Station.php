<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** A place on the row unit where checks are made; the cases stand in row-unit order, front to back. */
enum Station: string
{
    case OpenerBlades = 'opener_blades';
    case BladeContact = 'blade_contact';
}

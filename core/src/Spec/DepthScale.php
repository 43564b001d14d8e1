<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

/** In what a row unit's depth is set. Worded under `depth_scale.<value>`. */
enum DepthScale: string
{
    /** A stop with notches: one more is deeper, by as much as the spec sheet says. */
    case Notches = 'notches';
    /** A slid shank or a bolt-on band, by the marks of its scale. */
    case Marks = 'marks';
    /** A screw, by turns from where it stood. */
    case Turns = 'turns';
    /** A scale in inches of depth. */
    case Inches = 'inches';
    /** A pin in one of several holes. */
    case Holes = 'holes';
}

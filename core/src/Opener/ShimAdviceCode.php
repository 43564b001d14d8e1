<?php

declare(strict_types=1);

namespace Ustrel\Core\Opener;

/** What to do about the contact of a row's blades. Worded under `shims.<value>` in lang/en. */
enum ShimAdviceCode: string
{
    /** In the window: nothing to move. */
    case Leave = 'leave';
    /** In the window, and the packs are not alike: make them so. */
    case Level = 'level';
    /** Too long: add on each side. */
    case Add = 'add';
    /** Too short, or a gap: take out on each side. */
    case TakeOut = 'take_out';
    /** Too short, and no shim left to take out on one side or both: the blades are done, whatever their diameter. */
    case BladesDone = 'blades_done';
    /** Too short, and taking out all there is would still not do. */
    case NotEnough = 'not_enough';
    /** Too long, and adding as many as fit would still not do. */
    case TooMany = 'too_many';
    /** One pair fewer is outside of the window on one side, one more on the other. */
    case TooCoarse = 'too_coarse';
    /** No contact: take one pair out and measure again, since nobody knows how far the blades stand apart. */
    case Gap = 'gap';
    /** Nobody counted the shims. */
    case CountFirst = 'count_first';
}

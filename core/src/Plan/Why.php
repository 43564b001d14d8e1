<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/** Why something is proposed, or how it is done. Worded under `why.<value>`, with the figures of the proposal. */
enum Why: string
{
    /** It is past its limit, or worn through. */
    case PastLimit = 'past_limit';
    /** Broken, seized or unsafe. */
    case CannotRun = 'cannot_run';
    /** The shop's policy, by its rule. */
    case WouldNotLast = 'would_not_last';
    case ShareGone = 'share_gone';
    case Always = 'always';
    case SetIsDue = 'set_is_due';
    /** Left, it costs more by the odds of a stop than what is thrown away now. */
    case CheaperNow = 'cheaper_now';
    /** It will probably not last the season, and the record is too thin to change it by. */
    case MayNotLast = 'may_not_last';
    /** It will do for now; the odds say when to look. */
    case StillGoes = 'still_goes';
    case LooksPoor = 'looks_poor';
    case ShimsIn = 'shims_in';
    case ShimsOut = 'shims_out';
    /** No contact: one pair out, and measure. */
    case ShimOutAndMeasure = 'shim_out_and_measure';
    /** As many as there are, and it is still not in the window. */
    case ShimsNotEnough = 'shims_not_enough';
    /** The blades are changed: the pack as it was, then measured. */
    case AfterBlades = 'after_blades';
    case BladesDone = 'blades_done';
    case CountShims = 'count_shims';
    /** One pair fewer is outside of the window on one side, one more on the other. */
    case TooCoarse = 'too_coarse';
    /** Both packs to the same number of shims, with the contact to expect. */
    case LevelPacks = 'level_packs';
    /** The same, where the contact was not measured or is about to change. */
    case LevelPacksAndMeasure = 'level_packs_and_measure';
    case FewShims = 'few_shims';
    case ArmShimOut = 'arm_shim_out';
    case ArmShimIn = 'arm_shim_in';
    case CarryNotches = 'carry_notches';
    case SetTo = 'set_to';
    case MoveLeft = 'move_left';
    case MoveRight = 'move_right';
    case MoveToCentre = 'move_to_centre';
    case Loosen = 'loosen';
    case Tighten = 'tighten';
    case CleanIt = 'clean_it';
    case AirLow = 'air_low';
    case AirHigh = 'air_high';
    case BenchDue = 'bench_due';
    case SeeTo = 'see_to';
    case LookOver = 'look_over';
    /** Decided otherwise than proposed. */
    case Chosen = 'chosen';
}

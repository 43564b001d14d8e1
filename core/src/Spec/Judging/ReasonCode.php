<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/**
 * Why a verdict was given. Worded under `reason.<value>` in lang/en, where `:ref` is the reason's reference and
 * `:by` the distance of the reading from it.
 */
enum ReasonCode: string
{
    case AboveLimit = 'above_limit';
    case NearLimit = 'near_limit';
    case AtLimit = 'at_limit';
    case UnderLimit = 'under_limit';
    /** The chance of reaching the limit this season is over the shop's figure, which is the reference. */
    case WillNotLast = 'will_not_last';

    case InWindow = 'in_window';
    case NearWindowLow = 'near_window_low';
    case NearWindowHigh = 'near_window_high';
    case UnderWindow = 'under_window';
    case OverWindow = 'over_window';
    case NoContact = 'no_contact';

    case LittlePlay = 'little_play';
    case OverPlayWatch = 'over_play_watch';
    case OverPlayLimit = 'over_play_limit';
    /** The same where it grows. */
    case WillOutgrow = 'will_outgrow';

    case LittleStretch = 'little_stretch';
    case OverStretchWatch = 'over_stretch_watch';
    case OverStretchLimit = 'over_stretch_limit';

    case InRange = 'in_range';
    case UnderRange = 'under_range';
    case OverRange = 'over_range';
    case OnCentre = 'on_centre';
    case OffCentre = 'off_centre';

    case LikeRows = 'like_rows';
    case AboveRows = 'above_rows';
    case BelowRows = 'below_rows';
    case TooFewRows = 'too_few_rows';

    case WithinBound = 'within_bound';
    case OverBound = 'over_bound';
    case UnderBound = 'under_bound';

    /** Unlike the other rows, which is made up for by what it is set at: the reference. */
    case Carried = 'carried';
    case AtAim = 'at_aim';
    case AboveAim = 'above_aim';
    case BelowAim = 'below_aim';

    case EnoughLeft = 'enough_left';
    case TooFewLeft = 'too_few_left';
    /** The other side, which is the reference, has another number. */
    case UnequalSides = 'unequal_sides';
    case NotDue = 'not_due';
    case Due = 'due';
    case Recorded = 'recorded';

    case TouchLight = 'touch_light';
    case TouchGap = 'touch_gap';
    case TouchTight = 'touch_tight';
    case Done = 'done';
    case NotDone = 'not_done';
    /** A condition, with nothing ticked. */
    case LookedAt = 'looked_at';
    /** Looked over together with others and found sound; no figure was taken. */
    case LookedSound = 'looked_sound';

    case NotFitted = 'not_fitted';
    /** A part was fitted since it was last looked at. */
    case NewSince = 'new_since';
    /** A used part was fitted since. */
    case UsedSince = 'used_since';
    /** Something was changed or moved that it hangs on: measure again. */
    case MeasureAgain = 'measure_again';

    /** The end that a figure is off at, or near to; null where it has nothing to do with ends. */
    public function end(): ?string
    {
        return match ($this) {
            self::NearWindowHigh, self::OverWindow, self::OverRange, self::OverBound, self::AboveRows, self::AboveAim => 'high',
            self::NearWindowLow, self::UnderWindow, self::NoContact, self::UnderRange, self::UnderBound, self::BelowRows, self::BelowAim => 'low',
            default => null,
        };
    }
}

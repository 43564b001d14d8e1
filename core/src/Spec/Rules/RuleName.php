<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Rules;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\ClosingWheels;
use Ustrel\Core\Spec\Judging\Rule;
use Ustrel\Core\Spec\Judging\Verdict;

/** The rules that a spec sheet's figures are put into. */
enum RuleName: string
{
    case WearLimit = 'wear_limit';
    case Window = 'window';
    case PlayLimit = 'play_limit';
    case ChainStretch = 'chain_stretch';
    case Range = 'range';
    /** A range about an aim that goes by the kind of closing wheels. */
    case ClosingGap = 'closing_gap';
    /** Off centre, with a limit of its own for spiked wheels. */
    case Centring = 'centring';
    /** About a target, as far as a tolerance, and as far from its partner. */
    case Target = 'target';
    /** Near the median of the rows; else to be watched. */
    case LikeRowsWatch = 'like_rows_watch';
    /** Near the median of the rows; else to be adjusted. */
    case LikeRowsChange = 'like_rows_change';
    /** Near an aim of the row's own. */
    case NearAim = 'near_aim';
    case AtLeast = 'at_least';
    case DueAfter = 'due_after';
    /** No more than a limit of the shop's own. */
    case AtMost = 'at_most';
    /** No less than a limit of the shop's own. */
    case NotUnder = 'not_under';
    case Recorded = 'recorded';

    /** Whether the kind of closing wheels decides which of the figures hold. */
    public function goesByClosingWheels(): bool
    {
        return $this === self::ClosingGap || $this === self::Centring;
    }

    /** @return array<string, Unit|null> the figures that it needs, each with its unit; null for the check's own */
    public function figures(): array
    {
        $names = match ($this) {
            self::WearLimit => ['new', 'limit', 'margin', 'life'],
            self::Window => ['low', 'high', 'aim', 'margin', 'life'],
            self::PlayLimit => ['watch', 'limit', 'life'],
            self::ChainStretch => ['pitch', 'watch', 'limit', 'life'],
            self::Range => ['low', 'high'],
            self::ClosingGap => [...array_map(static fn (ClosingWheels $wheels): string => $wheels->value, ClosingWheels::withGap()), 'tolerance'],
            self::Centring => ['limit', 'limit_spiked'],
            self::Target => ['target', 'tolerance'],
            self::LikeRowsWatch, self::LikeRowsChange => ['tolerance'],
            self::NearAim => ['watch', 'limit'],
            self::AtLeast => ['least'],
            self::DueAfter => ['interval'],
            self::AtMost, self::NotUnder => ['limit'],
            self::Recorded => [],
        };
        $units = array_fill_keys($names, null);
        if ($this === self::ChainStretch) {
            $units['watch'] = $units['limit'] = Unit::Percent;
        }
        if (in_array('life', $names, true)) {
            $units['life'] = Unit::FurrowMile;
        }

        return $units;
    }

    /** @param  array<string, Quantity>  $figure  each that it needs, by name */
    public function build(array $figure, ClosingWheels $wheels): Rule
    {
        return match ($this) {
            self::WearLimit => new WearLimit($figure['new'], $figure['limit'], $figure['margin']),
            self::Window => new Window($figure['low'], $figure['high'], $figure['aim'], $figure['margin']),
            self::PlayLimit => new PlayLimit($figure['watch'], $figure['limit']),
            self::ChainStretch => new ChainStretch($figure['pitch'], $figure['watch'], $figure['limit']),
            self::Range => new Range($figure['low'], $figure['high']),
            self::ClosingGap => Range::around($figure[$wheels->value], $figure['tolerance']),
            self::Centring => new OffCentre($figure[$wheels->isSpiked() ? 'limit_spiked' : 'limit']),
            self::Target => new LikePartner($figure['target'], $figure['tolerance']),
            self::LikeRowsWatch => new NearMedian($figure['tolerance'], Verdict::Watch),
            self::LikeRowsChange => new NearMedian($figure['tolerance'], Verdict::Change),
            self::NearAim => new NearAim($figure['watch'], $figure['limit']),
            self::AtLeast => new AtLeast($figure['least']),
            self::DueAfter => new DueAfter($figure['interval']),
            self::AtMost => new Bound($figure['limit'], true),
            self::NotUnder => new Bound($figure['limit'], false),
            self::Recorded => new Recorded,
        };
    }
}

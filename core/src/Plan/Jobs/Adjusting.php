<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Opener\ShimAdvice;
use Ustrel\Core\Opener\ShimAdviceCode;
use Ustrel\Core\Opener\ShimSensitivity;
use Ustrel\Core\Plan\Action;
use Ustrel\Core\Plan\Finding;
use Ustrel\Core\Plan\Why;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Rules\AtLeast;
use Ustrel\Core\Spec\Rules\DueAfter;
use Ustrel\Core\Spec\Rules\LikePartner;
use Ustrel\Core\Spec\Rules\NearAim;
use Ustrel\Core\Spec\Rules\NearMedian;
use Ustrel\Core\Spec\Rules\OffCentre;
use Ustrel\Core\Spec\Rules\Range;
use Ustrel\Core\Spec\Rules\Window;

/** What is turned, moved or set where a figure is not as it should be, and by how much. */
final class Adjusting
{
    /**
     * @param  array{int|null, int|null}  $shims  inner shims of the row, left and right
     * @param  float|null  $contact  of the row's blades, millimetres; null where it was not measured
     * @param  Window|null  $window  that contact is held to
     * @param  bool  $newBlades  the row gets other blades, so that its contact is another
     * @return Remedy|null null where the figure is one that wears, and nothing is to be turned
     */
    public static function of(Finding $finding, array $shims, ?ShimSensitivity $sensitivity, bool $newBlades, ?float $contact = null, ?Window $window = null): ?Remedy
    {
        $value = $finding->answer?->quantity;
        $rule = $finding->check->rule;
        $code = $finding->reasons[0]->code ?? null;
        $reference = $finding->reasons[0]->reference ?? null;
        if ($value === null) {
            return null;
        }

        return match (true) {
            $rule instanceof Window => $newBlades ? Remedy::adjust(Why::AfterBlades, $rule->aim) : self::contact($value, $rule, $shims, $sensitivity ?? ShimSensitivity::learn([])),
            $rule instanceof Range => Remedy::adjust(Why::SetTo, self::middle($rule)),
            $rule instanceof LikePartner => Remedy::adjust(Why::SetTo, $rule->target),
            $rule instanceof OffCentre => Remedy::adjust(self::towardsCentre($finding), null, $value),
            $rule instanceof NearAim => Remedy::adjust(Why::SetTo, $reference, $reference === null ? null : self::apart($value, $reference)),
            $rule instanceof AtLeast => $code === ReasonCode::UnequalSides && $reference !== null
                ? self::packs($shims, $sensitivity, $newBlades ? null : $contact, $window, $reference->steps() < $value->steps() ? $reference : $value)
                : Remedy::of(Action::CarryOver, Why::FewShims),
            $rule instanceof DueAfter => Remedy::of(Action::SendOut, Why::BenchDue),
            $rule instanceof NearMedian => self::unlikeRows($finding, $value, $reference),
            default => null,
        };
    }

    /** @param  array{int|null, int|null}  $shims */
    private static function contact(Quantity $value, Window $rule, array $shims, ShimSensitivity $sensitivity): Remedy
    {
        $advice = ShimAdvice::of($value->unit()->valueOf($value), $rule, $shims[0], $shims[1], $sensitivity);
        $pairs = Unit::Shim->quantityOf(abs($advice->left));
        $expected = $advice->expected === null ? null : $value->unit()->quantityOf($advice->expected);
        if ($advice->uneven && in_array($advice->code, [ShimAdviceCode::Add, ShimAdviceCode::TakeOut, ShimAdviceCode::TooMany], true)) {
            // One instruction for the contact and for the packs.
            return Remedy::adjust(Why::LevelPacks, $expected, Unit::Shim->quantityOf((int) $advice->pack));
        }

        return match ($advice->code) {
            ShimAdviceCode::Add => Remedy::adjust(Why::ShimsIn, $expected, $pairs),
            ShimAdviceCode::TakeOut => Remedy::adjust(Why::ShimsOut, $expected, $pairs),
            ShimAdviceCode::Gap => Remedy::adjust(Why::ShimOutAndMeasure, null, $pairs),
            ShimAdviceCode::TooMany => Remedy::adjust(Why::ShimsNotEnough, $expected, $pairs),
            ShimAdviceCode::BladesDone, ShimAdviceCode::NotEnough => Remedy::change(Why::BladesDone),
            ShimAdviceCode::CountFirst => Remedy::of(Action::LookAgain, Why::CountShims),
            ShimAdviceCode::TooCoarse => Remedy::of(Action::CarryOver, Why::TooCoarse),
            // Inside the window, near one end of it.
            ShimAdviceCode::Leave, ShimAdviceCode::Level => Remedy::of(Action::CarryOver, Why::StillGoes),
        };
    }

    /**
     * Packs that are not alike, by what the contact asks for as well.
     *
     * @param  array{int|null, int|null}  $shims
     */
    private static function packs(array $shims, ?ShimSensitivity $sensitivity, ?float $contact, ?Window $window, Quantity $fewer): Remedy
    {
        $advice = $contact === null || $window === null ? null : ShimAdvice::of($contact, $window, $shims[0], $shims[1], $sensitivity ?? ShimSensitivity::learn([]));

        return $advice?->pack === null
            ? Remedy::adjust(Why::LevelPacksAndMeasure, null, $fewer)
            : Remedy::adjust(Why::LevelPacks, $advice->expected === null ? null : $window->aim->unit()->quantityOf($advice->expected), Unit::Shim->quantityOf($advice->pack));
    }

    private static function unlikeRows(Finding $finding, Quantity $value, ?Quantity $median): Remedy
    {
        if ($value->unit() === Unit::Notch) {
            return Remedy::adjust(Why::CarryNotches, null, $median === null ? null : self::apart($value, $median));
        }

        return Remedy::of(Action::SendOut, ($finding->reasons[0]->code ?? null) === ReasonCode::AboveRows ? Why::AirHigh : Why::AirLow, $median === null ? null : self::apart($value, $median));
    }

    private static function towardsCentre(Finding $finding): Why
    {
        $chips = $finding->answer->chips ?? [];

        return match (true) {
            in_array(Chip::OffLeft, $chips, true) => Why::MoveRight,
            in_array(Chip::OffRight, $chips, true) => Why::MoveLeft,
            default => Why::MoveToCentre,
        };
    }

    /** As finely as it can be read. */
    private static function middle(Range $rule): Quantity
    {
        $unit = $rule->low->unit();
        $middle = ($rule->low->steps() + $rule->high->steps()) / 2;

        return $unit->quantity((int) round(round($middle / $unit->readingStep()) * $unit->readingStep()));
    }

    private static function apart(Quantity $one, Quantity $other): Quantity
    {
        return $one->unit()->quantity(abs($one->steps() - $other->steps()));
    }
}

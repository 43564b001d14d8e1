<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Life;

use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Opener\ShimsMoved;
use Ustrel\Core\Parts\Installed;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Background;
use Ustrel\Core\Spec\Judging\Judgement;
use Ustrel\Core\Spec\Judging\Reason;
use Ustrel\Core\Spec\Judging\ReasonCode;
use Ustrel\Core\Spec\Judging\SeasonOutlook;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;
use Ustrel\Core\Walk\Result;

/** What was done to a planter after a walk had looked at it, told place by place. */
final class Renewals
{
    /**
     * @param  list<Installed|ShimsMoved>  $done  since the walk began and until the next, oldest first
     * @param  array<string, Moment>  $takenAt  when each place was looked at, by place key
     * @param  array<string, SeasonOutlook>  $outlooks  by place key
     * @return array<string, Renewal> by place key
     */
    public static function of(Sheet $sheet, array $done, array $takenAt, array $outlooks): array
    {
        $renewals = [];
        foreach ($done as $event) {
            [$row, $at] = $event instanceof Installed ? [$event->fitting->place->row, $event->fitting->from] : [$event->row, $event->at];
            foreach (self::concerned($event, $sheet) as [$check, $side, $again]) {
                $place = new Place($row, $check->key, $side);
                $key = $place->key();
                $seen = $takenAt[$key] ?? null;
                // What was never looked at need not be measured again.
                if ($seen === null ? ! $again : ! $seen->isAfter($at)) {
                    $renewals[$key] = $again || ! $event instanceof Installed
                        ? self::again($place, $at)
                        : self::fitted($place, $check, $event, $outlooks[$key] ?? null);
                }
            }
        }

        return $renewals;
    }

    /** @return iterable<array{Check, Side, bool}> the checks that an event concerns, and whether they are to be measured again */
    private static function concerned(Installed|ShimsMoved $event, Sheet $sheet): iterable
    {
        $at = $event instanceof Installed ? $event->fitting->place : null;
        $sheet = $sheet->at($event instanceof Installed ? $event->fitting->place->row : $event->row);
        foreach ($at?->slot->checks() ?? [] as $key) {
            $check = $sheet->check($key);
            if ($check !== null && $at !== null) {
                yield [$check, $at->side, false];
            }
        }
        foreach ($at?->slot->remeasured() ?? [CheckKey::from('blade_contact_length'), CheckKey::from('inner_shims')] as $key) {
            $check = $sheet->check($key);
            foreach ($check->sides ?? [] as $side) {
                if ($check !== null && (count($check->sides) === 1 || $at === null || $at->side === Side::Centre || $at->side === $side)) {
                    yield [$check, $side, true];
                }
            }
        }
    }

    private static function again(Place $place, Moment $at): Renewal
    {
        return new Renewal($place, Result::MeasureAgain, null, Judgement::of(Verdict::Unchecked, new Reason(ReasonCode::MeasureAgain)), null, $at);
    }

    private static function fitted(Place $place, Check $check, Installed $part, ?SeasonOutlook $outlook): Renewal
    {
        // Of a slot's checks only the first reads the size.
        $reads = $part->size !== null && $part->fitting->place->slot->checks()[0] === $check->key;
        $size = $reads ? Unit::Millimetre->quantityOf((float) $part->size) : null;
        $judged = $size === null ? Judgement::of(Verdict::Sound) : $check->judge(Answer::figure($size), Background::of($outlook));
        $told = new Reason($part->used ? ReasonCode::UsedSince : ReasonCode::NewSince);

        return new Renewal(
            $place,
            Result::Fitted,
            $size,
            Judgement::of($judged->verdict, ...($judged->verdict === Verdict::Sound ? [] : $judged->reasons), ...[$told]),
            $size === null ? null : $check->rule->lifeLeft($size),
            $part->fitting->from,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Walk;

use Ustrel\Core\Field\DepthStrategy;
use Ustrel\Core\Field\SetNotches;
use Ustrel\Core\Measure\Quantity;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/** At which notch each row's depth stop is to be set, by what a walk reads. */
final class DepthAims
{
    /** What the aims hang on. */
    public const CHECKS = ['depth_stop_notch', 'depth_set_notch'];

    /** Whether a check is judged by the row's aim: what is set, and where the handle carries it what the wheels lift at. */
    public static function count(CheckKey $check, DepthStrategy $school): bool
    {
        return $check->is('depth_set_notch') || ($check->is('depth_stop_notch') && $school === DepthStrategy::Handle);
    }

    /**
     * @param  list<int>  $rows  of one kind: a notch of another row unit is another depth
     * @param  callable(string): (Quantity|null)  $read  what is read at a place, by its key
     * @return array<int, Quantity> by row; none while too few are set
     */
    public static function of(array $rows, DepthStrategy $school, callable $read): array
    {
        [$lifts, $set] = array_map(static fn (string $check): array => self::notches($rows, CheckKey::from($check), $read), self::CHECKS);

        return array_map(Unit::Notch->quantityOf(...), SetNotches::aims($rows, $set, $lifts, $school));
    }

    /**
     * @param  list<int>  $rows
     * @param  callable(string): (Quantity|null)  $read
     * @return array<int, float> notches by row that was read
     */
    public static function notches(array $rows, CheckKey $check, callable $read): array
    {
        $notches = [];
        foreach ($rows as $row) {
            $notch = $read((new Place($row, $check, Side::Centre))->key());
            if ($notch !== null) {
                $notches[$row] = Unit::Notch->valueOf($notch);
            }
        }

        return $notches;
    }
}

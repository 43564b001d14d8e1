<?php

declare(strict_types=1);

namespace App\Walk;

use App\Record\Fields;
use App\Record\Refused;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Sheet;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Walk\Place;

/** Reads where something was recorded: a check on a row, on a side. */
final class PlaceFields
{
    /** @throws Refused naming what the planter does not have */
    public static function read(Fields $fields, Sheet $sheet, int $rowCount): Place
    {
        $key = self::check($fields);
        $any = $key === null ? null : $sheet->check($key);
        if ($key === null || $any === null) {
            throw Refused::because('check', 'refused.no_such_check', ['row' => $fields->said('row'), 'check' => $key === null ? '?' : __("check.{$key->value}")]);
        }
        $named = ['row' => $fields->said('row'), 'rows' => $rowCount, 'check' => __("check.{$key->value}")];
        if ($any->isOfWholePlanter()) {
            $row = self::row($fields, Place::WHOLE_PLANTER, Place::WHOLE_PLANTER) ?? throw Refused::because('row', 'refused.whole_planter', $named);
        } else {
            $row = self::row($fields, $rowCount) ?? throw Refused::because('row', 'refused.no_such_row', $named);
        }
        $check = $sheet->at($row)->check($key) ?? throw Refused::because('row', $sheet->at($row)->checks === [] ? 'refused.parked' : 'refused.not_on_row', $named);
        $side = $fields->oneOf('side', Side::class, 'refused.unknown_side') ?? Side::Centre;

        return $check->has($side) ? new Place($row, $key, $side) : throw Refused::because('side', 'refused.no_such_side', $named);
    }

    private static function check(Fields $fields): ?CheckKey
    {
        try {
            return $fields->oneOf('check', CheckKey::class, 'refused.no_such_check');
        } catch (Refused) {
            return null;
        }
    }

    /** A row of the planter; null where it has no such row. */
    public static function row(Fields $fields, int $last, int $first = 1): ?int
    {
        try {
            return $fields->whole('row', $first, $last, 'refused.no_such_row');
        } catch (Refused) {
            return null;
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Walk\Board;

use stdClass;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\Catalogue;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Chip;
use Ustrel\Core\Spec\State;

/** An answer as the columns value, state and chips of the tables readings and cells keep it. */
final class StoredAnswer
{
    /** @return array{value: string|null, state: string|null, chips: string} */
    public static function columns(?Answer $answer): array
    {
        $quantity = $answer?->quantity;

        return [
            'value' => $quantity === null ? null : number_format($quantity->unit()->valueOf($quantity), 6, '.', ''),
            'state' => $answer?->state?->value,
            'chips' => json_encode(array_map(static fn (Chip $chip): string => $chip->value, $answer->chips ?? []), JSON_THROW_ON_ERROR),
        ];
    }

    /**
     * The same without a look at what it means: a board hands out thousands.
     *
     * @param  stdClass  $row  of readings or cells
     * @return array{value: float|null, state: string|null, chips: list<string>}
     */
    public static function plain(stdClass $row): array
    {
        return [
            'value' => $row->value === null ? null : (float) $row->value,
            'state' => $row->state,
            'chips' => array_map(static fn (Chip $chip): string => $chip->value, self::chips($row->chips)),
        ];
    }

    /** A board asks for it thousands of times. */
    private static function unit(string $check): Unit
    {
        static $units = [];

        return $units[$check] ??= Catalogue::definition(CheckKey::from($check))->unit;
    }

    /** @param  stdClass  $row  of readings or cells */
    public static function of(stdClass $row): ?Answer
    {
        if ($row->value !== null) {
            return Answer::figure(self::unit($row->check_key)->quantityOf($row->value));
        }
        if ($row->state === null) {
            return null;
        }

        return Answer::state(State::from($row->state), self::chips($row->chips));
    }

    /** @return list<Chip> one that is known no more is left out */
    private static function chips(string $kept): array
    {
        return $kept === '[]' ? [] : array_values(array_filter(array_map(Chip::tryFrom(...), json_decode($kept, true))));
    }
}

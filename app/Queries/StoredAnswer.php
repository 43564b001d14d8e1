<?php

declare(strict_types=1);

namespace App\Queries;

use stdClass;
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

    /** @param  stdClass  $row  of readings or cells */
    public static function of(stdClass $row): ?Answer
    {
        if ($row->value !== null) {
            $unit = Catalogue::definition(CheckKey::from($row->check_key))->unit;

            return Answer::figure($unit->quantityOf($row->value));
        }
        if ($row->state === null) {
            return null;
        }
        $chips = $row->chips === '[]' ? [] : array_filter(array_map(Chip::tryFrom(...), json_decode($row->chips, true)));

        return Answer::state(State::from($row->state), array_values($chips));
    }
}

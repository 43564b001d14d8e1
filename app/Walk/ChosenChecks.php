<?php

declare(strict_types=1);

namespace App\Walk;

use Illuminate\Validation\ValidationException;
use Ustrel\Core\Spec\Sheet;

/** The checks that a person chooses for a walk, of those that the planter has. */
final class ChosenChecks
{
    /**
     * @param  array<mixed>|null  $chosen
     * @return list<string>|null null for all
     *
     * @throws ValidationException where none, or one that the planter does not have, is chosen
     */
    public static function of(?array $chosen, Sheet $sheet): ?array
    {
        if ($chosen === null) {
            return null;
        }
        $known = array_keys($sheet->checks);
        $unknown = array_filter($chosen, static fn (mixed $key): bool => ! in_array($key, $known, true));
        if ($chosen === [] || $unknown !== []) {
            throw ValidationException::withMessages(['checks' => __($chosen === [] ? 'error.no_checks_chosen' : 'error.unknown_checks_chosen')]);
        }
        $kept = array_values(array_intersect($known, $chosen));

        return count($kept) === count($known) ? null : $kept;
    }
}

<?php

declare(strict_types=1);

namespace App\Walk;

use App\Record\Fields;
use App\Record\Refused;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\Unreadable;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Judging\Answer;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\SidedFigure;
use Ustrel\Core\Spec\Judging\State;

/** Reads what is sent as the answer to a check: a figure as typed, or a state with the reasons ticked. */
final class AnswerFields
{
    private const LONGEST_TYPED = 40;

    /** @throws Refused */
    public static function read(Fields $fields, Check $check, int $row): Answer
    {
        $ofOtherKind = $check->kind->takesFigure() ? $fields->has('state') : $fields->has('typed');
        if ($ofOtherKind) {
            throw self::wrongKind($check, $row);
        }

        return $check->kind->takesFigure() ? self::figure($fields, $check) : self::state($fields, $check, $row);
    }

    private static function figure(Fields $fields, Check $check): Answer
    {
        $typed = $fields->text('typed', self::LONGEST_TYPED, $fields->said('typed') === '?' ? 'refused.not_typed' : 'refused.typed_too_long');
        $system = $fields->oneOf('units', UnitSystem::class, 'refused.unknown_units') ?? UnitSystem::Inch;
        try {
            $sided = $check->definition->chips === [] ? null : SidedFigure::read($typed);

            return Answer::figure($check->unit->read($sided->figure ?? $typed, $system), $sided?->side === null ? [] : [$sided->side]);
        } catch (Unreadable $unreadable) {
            throw Refused::unreadable('typed', $unreadable);
        }
    }

    private static function state(Fields $fields, Check $check, int $row): Answer
    {
        try {
            $state = $fields->oneOf('state', State::class, 'refused.no_such_check');
        } catch (Refused) {
            $state = null;
        }
        if ($state === null || ! in_array($state, $check->kind->states(), true)) {
            throw self::wrongKind($check, $row);
        }

        return Answer::state($state, $check->kind === CheckKind::Condition ? self::chips($fields, $check) : []);
    }

    /** @return list<Chip> in the order of the check, each once */
    private static function chips(Fields $fields, Check $check): array
    {
        $known = array_keys($check->definition->chips);
        $named = ['check' => __("check.{$check->key->value}"), 'known' => implode(', ', array_map(static fn (string $chip): string => __("chip.{$chip}"), $known))];
        try {
            $sent = $fields->list('chips', 'refused.unknown_chip');
        } catch (Refused) {
            throw Refused::because('chips', 'refused.unknown_chip', ['chip' => $fields->said('chips')] + $named);
        }
        foreach ($sent as $chip) {
            if (! in_array($chip, $known, true)) {
                throw Refused::because('chips', 'refused.unknown_chip', ['chip' => is_string($chip) ? mb_substr($chip, 0, 40) : '?'] + $named);
            }
        }

        return array_map(Chip::from(...), array_values(array_intersect($known, $sent)));
    }

    private static function wrongKind(Check $check, int $row): Refused
    {
        return Refused::because('state', "refused.wrong_kind.{$check->kind->value}", ['row' => $row, 'check' => __("check.{$check->key->value}")]);
    }
}

<?php

declare(strict_types=1);

namespace App\Walk;

use App\Record\Fields;
use App\Record\RefusedReading;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\UnreadableAmount;
use Ustrel\Core\Measure\UnreadableLength;
use Ustrel\Core\Spec\Answer;
use Ustrel\Core\Spec\Check;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Chip;
use Ustrel\Core\Spec\State;

/** Reads what a device sends as the answer to a check: a figure as typed, or a state with the reasons ticked. */
final class AnswerInput
{
    private const LONGEST_TYPED = 40;

    /** @throws RefusedReading */
    public static function read(Fields $fields, Check $check, int $row): Answer
    {
        $ofOtherKind = $check->kind->takesFigure() ? $fields->has('state') : $fields->has('typed');
        if ($ofOtherKind) {
            throw RefusedReading::because("wrong_kind.{$check->kind->value}", ['row' => $row, 'check' => __("check.{$check->key->value}")]);
        }

        return $check->kind->takesFigure() ? self::figure($fields, $check) : self::state($fields, $check, $row);
    }

    private static function figure(Fields $fields, Check $check): Answer
    {
        $typed = $fields->text('typed');
        if (mb_strlen($typed) > self::LONGEST_TYPED) {
            throw RefusedReading::because('typed_too_long');
        }
        $system = UnitSystem::tryFrom($fields->text('units', UnitSystem::Inch->value))
            ?? throw RefusedReading::because('unknown_units');

        try {
            return Answer::figure($check->unit->read($typed, $system));
        } catch (UnreadableLength|UnreadableAmount $unreadable) {
            throw RefusedReading::unreadable($unreadable);
        }
    }

    private static function state(Fields $fields, Check $check, int $row): Answer
    {
        $state = State::tryFrom($fields->text('state'));
        if ($state === null || ! in_array($state, $check->kind->states(), true)) {
            throw RefusedReading::because("wrong_kind.{$check->kind->value}", ['row' => $row, 'check' => __("check.{$check->key->value}")]);
        }

        return Answer::state($state, $check->kind === CheckKind::Condition ? self::chips($fields, $check) : []);
    }

    /** @return list<Chip> in the order of the check, each once */
    private static function chips(Fields $fields, Check $check): array
    {
        $sent = $fields->list('chips');
        $known = array_keys($check->definition->chips);
        $unknown = $sent === null ? [$fields->text('chips', '?')] : array_filter($sent, static fn (mixed $chip): bool => ! in_array($chip, $known, true));
        if ($unknown !== []) {
            throw RefusedReading::because('unknown_chip', [
                'chip' => is_scalar(reset($unknown)) ? (string) reset($unknown) : '?',
                'check' => __("check.{$check->key->value}"),
                'known' => implode(', ', array_map(static fn (string $chip): string => __("chip.{$chip}"), $known)),
            ]);
        }

        return array_map(Chip::from(...), array_values(array_intersect($known, $sent ?? [])));
    }
}

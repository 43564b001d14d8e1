<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\Plan\Action;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Judging\Chip;

/** What is done about what was ticked or answered; what is not named is changed. Typical ways, in core/jobs/remedies.json. */
final class Remedies
{
    /** @param  non-empty-list<Chip>  $chips */
    public static function ofChips(CheckKey $check, array $chips): Action
    {
        $of = (self::read()['checks'][$check->value] ?? []) + self::read()['chips'];
        $actions = array_map(static fn (Chip $chip): Action => Action::from($of[$chip->value] ?? Action::Change->value), $chips);

        return in_array(Action::Change, $actions, true) ? Action::Change : $actions[0];
    }

    /** What is done where a question was answered with no. */
    public static function ofNo(CheckKey $check): Action
    {
        return Action::from(self::read()['no'][$check->value] ?? Action::LookAgain->value);
    }

    /** Whether it is beyond basic service: hydraulics, pressure, electrics. */
    public static function isForQualified(CheckKey $check): bool
    {
        return in_array($check->value, self::read()['qualified'], true);
    }

    /** @return array{chips: array<string, string>, checks: array<string, array<string, string>>, no: array<string, string>, qualified: list<string>} */
    private static function read(): array
    {
        static $read = null;
        $read ??= json_decode((string) file_get_contents(__DIR__.'/../../../jobs/remedies.json'), true, flags: JSON_THROW_ON_ERROR);

        /** @var array{chips: array<string, string>, checks: array<string, array<string, string>>, no: array<string, string>, qualified: list<string>} */
        return $read;
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec;

use Ustrel\Core\Spec\Judging\State;

/** What kind of answer a check takes. */
enum CheckKind: string
{
    /** A length. */
    case Measure = 'measure';
    /** Gap, light touch or tight. */
    case Touch = 'touch';
    /** Sound, watch, change or failed, with reasons to tick. */
    case Condition = 'condition';
    case Count = 'count';
    /** A figure that is set or read off, such as a pressure or a notch. */
    case Setting = 'setting';
    case YesNo = 'yes_no';

    public function takesFigure(): bool
    {
        return $this === self::Measure || $this === self::Count || $this === self::Setting;
    }

    /** @return list<State> what can be answered; empty where a figure is asked for */
    public function states(): array
    {
        return match ($this) {
            self::Touch => [State::Gap, State::Light, State::Tight],
            self::Condition => [State::Sound, State::Watch, State::Change, State::Failed],
            self::YesNo => [State::Yes, State::No],
            self::Measure, self::Count, self::Setting => [],
        };
    }
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Diagnosis;

use Ustrel\Core\Spec\Judging\Verdict;

/** What a row's own record says of a check. */
enum Evidence: string
{
    case Amiss = 'amiss';
    case Watch = 'watch';
    case Sound = 'sound';

    /** Null where nobody has looked: it says nothing. */
    public static function of(Verdict $verdict): ?self
    {
        return match ($verdict) {
            Verdict::Failed, Verdict::Change => self::Amiss,
            Verdict::Watch => self::Watch,
            Verdict::Sound => self::Sound,
            Verdict::Unchecked => null,
        };
    }
}

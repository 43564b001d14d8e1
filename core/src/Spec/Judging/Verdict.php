<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** What a reading means. */
enum Verdict: string
{
    /** Not yet looked at. */
    case Unchecked = 'unchecked';
    case Sound = 'sound';
    /** Fine now, but near the limit or not expected to last the coming season. */
    case Watch = 'watch';
    /** Past the limit. */
    case Change = 'change';
    /** Broken, seized or unsafe: the row must not run. */
    case Failed = 'failed';

    /** 0 (unchecked) to 4 (failed); the greater, the worse. */
    public function severity(): int
    {
        return match ($this) {
            self::Unchecked => 0,
            self::Sound => 1,
            self::Watch => 2,
            self::Change => 3,
            self::Failed => 4,
        };
    }

    /** @param  list<self>  $verdicts */
    public static function worst(array $verdicts): self
    {
        $worst = self::Unchecked;
        foreach ($verdicts as $verdict) {
            $worst = $verdict->severity() > $worst->severity() ? $verdict : $worst;
        }

        return $worst;
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

/** What a planter's record teaches its shop. */
enum Lesson: string
{
    /** How long jobs take: by kind of job, pieces and the logarithm of minutes taken to typical minutes. */
    case JobMinutes = 'job_minutes';

    /** What comes of conditions that are left: by check, how many were, and in total how many went wrong. */
    case LeftFindings = 'left_findings';

    /** How far the shop measures off: by check, readings to spare, and squares about the parts' own lines. */
    case Measuring = 'measuring';
}

<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

/** Why a job could not be done. Worded under `could_not.<value>`. */
enum CouldNotReason: string
{
    case Seized = 'seized';
    case WrongPart = 'wrong_part';
    case PartMissing = 'part_missing';
    case MoreIsBroken = 'more_is_broken';
    case NoTool = 'no_tool';
    case NeedsQualified = 'needs_qualified';
    case NoTime = 'no_time';
}

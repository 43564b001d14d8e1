<?php

declare(strict_types=1);

namespace Ustrel\Core\Walk;

/** What a note is for. */
enum NoteKind: string
{
    case Note = 'note';
    /** Seized or hard to open: the next walks warn of it. */
    case HardJoint = 'hard_joint';
}

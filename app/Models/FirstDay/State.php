<?php

declare(strict_types=1);

namespace App\Models\FirstDay;

enum State: string
{
    case Open = 'open';

    case Done = 'done';

    case Skipped = 'skipped';
}

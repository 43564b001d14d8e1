<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/** What to do about the closing pressure. Worded under `closing_move.<value>`. */
enum ClosingMove: string
{
    case More = 'more';
    case Less = 'less';
    case TooWet = 'too_wet';
}

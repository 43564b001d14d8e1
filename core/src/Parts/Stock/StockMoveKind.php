<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

/** How the parts on the shelf become more or fewer. Worded under `stock_move.<value>`. */
enum StockMoveKind: string
{
    /** So many are there: whatever was reckoned before. */
    case Counted = 'counted';
    case Received = 'received';
    /** Fitted, or used up otherwise. */
    case Used = 'used';
    case Lost = 'lost';
}

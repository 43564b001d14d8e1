<?php

declare(strict_types=1);

namespace Ustrel\Core\Parts\Stock;

/** Worded under `order_state.<value>`. */
enum OrderState: string
{
    case Draft = 'draft';
    /** Sent off; what has not come is on order. */
    case Ordered = 'ordered';
    /** Nothing more is to come of it. */
    case Closed = 'closed';
}

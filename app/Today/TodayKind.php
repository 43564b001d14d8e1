<?php

declare(strict_types=1);

namespace App\Today;

/** What an item of the list is about; in the order in which they are shown. */
enum TodayKind: string
{
    /** An alarm of the row watch that nobody has seen. */
    case Alarm = 'alarm';

    /** A piece of work that is planned for today, or was before. */
    case Card = 'card';

    case Walk = 'walk';

    case Decide = 'decide';

    case MeasureAgain = 'measure_again';

    /** Something of the countdown to planting. */
    case Deadline = 'deadline';

    /** The planter has no day of planting: nothing can be due. */
    case NoDate = 'no_date';

    /** An order that comes. */
    case Delivery = 'delivery';
}

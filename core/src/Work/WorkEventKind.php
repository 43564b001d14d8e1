<?php

declare(strict_types=1);

namespace Ustrel\Core\Work;

/** What hands say of a piece of work. */
enum WorkEventKind: string
{
    /** One line of its card is done. */
    case Ticked = 'ticked';
    /** Jobs are done, and written down. */
    case Finished = 'finished';
    /** Jobs could not be done: they are decided about anew. */
    case CouldNot = 'could_not';
}

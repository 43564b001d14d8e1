<?php

declare(strict_types=1);

namespace Ustrel\Core\Spec\Judging;

/** What a check that takes no figure is answered with. */
enum State: string
{
    case Sound = 'sound';
    case Watch = 'watch';
    case Change = 'change';
    case Failed = 'failed';

    case Gap = 'gap';
    case Light = 'light';
    case Tight = 'tight';

    case Yes = 'yes';
    case No = 'no';
}

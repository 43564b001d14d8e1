<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Dig;

/** The first pass in the order of work: domain, 15. Worded under `first_pass_step.<value>`. */
enum FirstPassStep: string
{
    case TurnByHand = 'turn_by_hand';
    case Dig = 'dig';
    case Adjust = 'adjust';
    case DigAgain = 'dig_again';
    case SignOff = 'sign_off';
}

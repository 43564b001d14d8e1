<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan;

/** Why a person decides otherwise than proposed. Worded under `override.<value>`. */
enum OverrideReason: string
{
    case PartIsHere = 'part_is_here';
    case PartNotToBeHad = 'part_not_to_be_had';
    case OwnerWants = 'owner_wants';
    case OwnerDeclines = 'owner_declines';
    case RowWillBeOpen = 'row_will_be_open';
    case FewAcresLeft = 'few_acres_left';
    case LooksBetter = 'looks_better';
    case LooksWorse = 'looks_worse';
}

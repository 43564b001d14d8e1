<?php

declare(strict_types=1);

namespace Ustrel\Core\Plan\Jobs;

use Ustrel\Core\CoreException;

final class InvalidJobBook extends CoreException
{
    public static function missing(string $of, string $step): self
    {
        return new self("{$of} needs the step \"{$step}\", which there is not.");
    }

    /** @param  list<string>  $round  the steps of it, in their order */
    public static function circle(array $round): self
    {
        return new self('These steps each need the next, and the last the first: '.implode(', ', $round).'.');
    }

    public static function minutes(string $of): self
    {
        return new self("The minutes of {$of} have to be a number from 0 to 600.");
    }

    public static function shape(string $of): self
    {
        return new self("{$of} has to say its minutes and what it needs; a step also whether it is for the planter, a row, a side or a place.");
    }

    public static function kit(string $of): self
    {
        return new self("{$of} is for 1 to 4 people, and names tools, and checks that there are to be looked at again.");
    }
}

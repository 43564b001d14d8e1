<?php

declare(strict_types=1);

namespace Ustrel\Core\Work\Schedule;

use Ustrel\Core\CoreException;

final class InvalidPlan extends CoreException
{
    public static function hours(): self
    {
        return new self('A day of work has from 0 to 24 hours.');
    }

    public static function noHours(): self
    {
        return new self('Somebody who is to work needs hours on one day of the week at least.');
    }

    public static function nobody(): self
    {
        return new self('A plan needs one person at least.');
    }

    public static function minutes(string $task): self
    {
        return new self("What is to be done takes from 1 to 6000 minutes; {$task} does not.");
    }

    public static function people(string $task): self
    {
        return new self("What is to be done takes from 1 to 8 people; {$task} does not.");
    }

    public static function rainMinutes(string $job): self
    {
        return new self("A job on a rain day takes from 0 to 600 minutes; {$job} does not.");
    }

    public static function worth(string $job): self
    {
        return new self("What it is worth to have {$job} done is a figure of 0 or more.");
    }

    public static function rain(): self
    {
        return new self('A rain day has from 1 to 1440 minutes, and from 1 to 8 people.');
    }

    public static function chance(): self
    {
        return new self('A chance is a figure from 0 to 1.');
    }

    public static function spares(): self
    {
        return new self('Spares need breakages from 0 to 50 a season, a trip of 0 or more and a holding of over 0.');
    }

    public static function item(string $item): self
    {
        return new self("{$item} needs acres that are left of 0 or more, a life of over 0, and a price and work of 0 or more.");
    }

    public static function stops(): self
    {
        return new self('Stops need acres that are left and a cost of 0 or more, and at most 200 kinds of parts.');
    }

    public static function shortLived(string $item): self
    {
        return new self("{$item} would be changed more than fifty times in what is left of the season.");
    }

    public static function rule(int $number): self
    {
        return new self("Rule {$number} of what comes before what has to be per row or planter, and name slots and checks that there are.");
    }

    public static function lubrication(int $number): self
    {
        return new self("Point {$number} of what is lubricated has to be per row or planter, take over 0 to 60 minutes, be due again after 1 to 10,000 acres or hours, and name a product and equipment that there is.");
    }

    public static function whileOff(string $step): self
    {
        return new self("Notes of {$step} are lists, each with its note and, where it has one, a check that there is.");
    }

    public static function missing(string $task, string $other): self
    {
        return new self("{$task} comes after {$other}, which is not in the plan.");
    }

    /** @param  list<string>  $round */
    public static function circle(array $round): self
    {
        return new self('Each of these comes after another of them: '.implode(', ', $round).'.');
    }

    public static function twice(string $task): self
    {
        return new self("{$task} is in the plan twice.");
    }

    public static function fixed(string $task): self
    {
        return new self("{$task} cannot be held where it is: nobody of the plan does it there.");
    }
}

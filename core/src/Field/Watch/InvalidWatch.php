<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Watch;

use Ustrel\Core\CoreException;

/** A line of a monitor that cannot be read, by what is wrong with it. */
final class InvalidWatch extends CoreException
{
    private function __construct(
        string $message,
        /** @var 'line'|'ms'|'mph'|'rows'|'off'|'target' */
        public readonly string $fault,
    ) {
        parent::__construct($message);
    }

    public static function line(): self
    {
        return new self('A moment is told as an object with ms, mph, down and what is watched.', 'line');
    }

    public static function ms(): self
    {
        return new self('ms are whole milliseconds from 0 to a month.', 'ms');
    }

    public static function mph(): self
    {
        return new self('mph is from 0 to 30.', 'mph');
    }

    public static function rows(): self
    {
        return new self('What is watched is told as a list with a figure or null for each row.', 'rows');
    }

    public static function off(): self
    {
        return new self('off lists rows of the planter.', 'off');
    }

    public static function target(): self
    {
        return new self('target is a figure over 0 for population or flow.', 'target');
    }
}

<?php

declare(strict_types=1);

namespace App\Record;

use RuntimeException;
use Ustrel\Core\Measure\Unreadable;
use Ustrel\Core\Measure\UnreadableLine;

/** Something that cannot be taken into the record: what about it, and why, in the technician's words. */
final class Refused extends RuntimeException
{
    private function __construct(
        public readonly string $field,
        string $message,
    ) {
        parent::__construct($message);
    }

    /**
     * @param  string  $field  of the item; empty where it is the whole of it
     * @param  string  $code  of its wording
     * @param  array<string, string|int|float>  $with
     */
    public static function because(string $field, string $code, array $with = []): self
    {
        return new self($field, __($code, $with));
    }

    /**
     * A line that cannot be read, in the words of its group; a number in it in its own.
     *
     * @param  array<string, string|int>  $with
     */
    public static function line(string $field, string $group, UnreadableLine $line, array $with = []): self
    {
        return $line->number === null ? self::because($field, "{$group}.{$line->fault}", ['typed' => mb_substr($line->typed, 0, 80)] + $with) : self::unreadable($field, $line->number);
    }

    public static function unreadable(string $field, Unreadable $unreadable): self
    {
        return self::because($field, $unreadable->wordKey(), $unreadable->fill());
    }
}

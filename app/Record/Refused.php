<?php

declare(strict_types=1);

namespace App\Record;

use RuntimeException;
use Ustrel\Core\Measure\Unreadable;

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

    public static function unreadable(string $field, Unreadable $unreadable): self
    {
        return self::because($field, $unreadable->wordKey(), ['typed' => $unreadable->typed()]);
    }
}

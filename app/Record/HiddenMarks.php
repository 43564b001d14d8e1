<?php

declare(strict_types=1);

namespace App\Record;

/** Characters that nobody sees: control characters but for line breaks and tabs, and those that turn the direction of writing. */
final class HiddenMarks
{
    private const MARKS = '/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F\x{80}-\x{9F}\x{200E}\x{200F}\x{202A}-\x{202E}\x{2066}-\x{2069}]/u';

    /** @param  string  $text  in UTF-8 */
    public static function in(string $text): bool
    {
        return preg_match(self::MARKS, $text) !== 0;
    }
}

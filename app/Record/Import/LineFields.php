<?php

declare(strict_types=1);

namespace App\Record\Import;

use Carbon\CarbonImmutable;

/** The fields of one line, read the way people write them. */
final readonly class LineFields
{
    private const FIRST_YEAR = 1900;

    /** @param  array<string, string>  $fields  by name, none empty */
    public function __construct(
        private array $fields,
        private string $dates,
    ) {
    }

    /** What our own tables guard, so that no program takes it for a formula, comes in as it was. */
    public function text(string $name): ?string
    {
        return isset($this->fields[$name]) ? (string) preg_replace("/^'(?=[=+\-@])/", '', $this->fields[$name]) : null;
    }

    public function needed(string $name): string
    {
        return $this->text($name) ?? throw RefusedLine::because('missing', ['field' => __("import.field.{$name}")]);
    }

    /** The day, as 2026-04-28. */
    public function day(string $name): ?string
    {
        $text = $this->fields[$name] ?? null;
        if ($text === null) {
            return null;
        }
        [$year, $month, $day] = $this->parts($text);
        if (! checkdate($month, $day, $year)) {
            throw RefusedLine::because('no_date', ['text' => $text]);
        }
        $read = sprintf('%04d-%02d-%02d', $year, $month, $day);
        if ($year < self::FIRST_YEAR) {
            throw RefusedLine::because('no_date', ['text' => $text]);
        }
        // A field east of here may already be in tomorrow; the inbox knows its day.
        if ($read > CarbonImmutable::now()->addHours(14)->toDateString()) {
            throw RefusedLine::because('ahead', ['text' => $text]);
        }

        return $read;
    }

    /** A number with a decimal point or a decimal comma, and thousands set apart or not. */
    public function number(string $name): ?float
    {
        $text = $this->fields[$name] ?? null;

        return $text === null ? null : self::read($text);
    }

    public function wholeNumber(string $name): int
    {
        $text = $this->needed($name);

        return preg_match('/^\d{1,4}$/', $text) === 1 ? (int) $text : throw RefusedLine::because('no_whole_number', ['field' => __("import.field.{$name}"), 'text' => $text]);
    }

    private static function read(string $text): float
    {
        $plain = str_replace([' ', "\u{00A0}", "'"], '', $text);
        if (preg_match('/^-?\d{1,3},\d{3}$/', $plain) === 1) {
            throw RefusedLine::because('two_ways', ['text' => $text]);
        }
        $plain = match (true) {
            preg_match('/^-?\d{1,3}(,\d{3})+(\.\d+)?$/', $plain) === 1 => str_replace(',', '', $plain),
            preg_match('/^-?\d{1,3}(\.\d{3})+,\d+$/', $plain) === 1 => strtr($plain, ['.' => '', ',' => '.']),
            default => str_replace(',', '.', $plain),
        };

        return preg_match('/^-?\d+(\.\d+)?$/', $plain) === 1 ? (float) $plain : throw RefusedLine::because('no_number', ['text' => $text]);
    }

    /** @return array{int, int, int} year, month, day */
    private function parts(string $text): array
    {
        if (preg_match('/^(\d{4})[-\/.](\d{1,2})[-\/.](\d{1,2})([T ].*)?$/', $text, $found) === 1) {
            return [(int) $found[1], (int) $found[2], (int) $found[3]];
        }
        if (preg_match('/^(\d{1,2})([-\/.])(\d{1,2})\2(\d{4})$/', $text, $found) !== 1) {
            throw RefusedLine::because('no_date', ['text' => $text]);
        }
        [$first, $second, $year] = [(int) $found[1], (int) $found[3], (int) $found[4]];
        $dayFirst = match (true) {
            $this->dates !== 'auto' => $this->dates === 'dmy',
            // With points between them the day comes first everywhere.
            $found[2] === '.' || $first > 12 => true,
            $second > 12 => false,
            $first === $second => true,
            default => throw RefusedLine::because('date_two_ways', ['text' => $text]),
        };

        return $dayFirst ? [$year, $second, $first] : [$year, $first, $second];
    }
}

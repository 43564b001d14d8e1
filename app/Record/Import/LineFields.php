<?php

declare(strict_types=1);

namespace App\Record\Import;

use Carbon\CarbonImmutable;
use Ustrel\Core\Measure\NumberReader;
use Ustrel\Core\Measure\NumberStyle;
use Ustrel\Core\Measure\UnreadableNumber;

/** The fields of one line, read the way people write them. */
final readonly class LineFields
{
    private const FIRST_YEAR = 1900;

    /** What numbers can be, by field; elsewhere 0 and more. */
    private const RANGES = ['acres' => [0, 10_000], 'map_acres' => [0, 10_000], 'speed' => [0, 30], 'severity' => [0.5, 2], 'cost' => [0, 100_000]];

    /** @param  array<string, string>  $fields  by name, none empty */
    public function __construct(
        private array $fields,
        private string $dates,
        private ?NumberStyle $style = null,
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

    /** @param  array<string, float>  $units  that may stand behind it, each in the field's own */
    public function number(string $name, array $units = []): ?float
    {
        $text = $this->fields[$name] ?? null;
        [$low, $high] = self::RANGES[$name] ?? [0, 1e9];
        try {
            return $text === null ? null : (new NumberReader($units, $low, $high, style: $this->style))->read($text);
        } catch (UnreadableNumber $unreadable) {
            throw RefusedLine::of(__($unreadable->wordKey(), $unreadable->fill()));
        }
    }

    public function wholeNumber(string $name): int
    {
        $text = $this->needed($name);

        return preg_match('/^\d{1,4}$/', $text) === 1 ? (int) $text : throw RefusedLine::because('no_whole_number', ['field' => __("import.field.{$name}"), 'text' => $text]);
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

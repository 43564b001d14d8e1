<?php

declare(strict_types=1);

namespace App\Record\Import;

use Generator;
use RuntimeException;
use Ustrel\Core\Measure\NumberStyle;

/**
 * A file of comma-separated lines as a person has it: in UTF-8 with or without BOM, UTF-16 or Windows-1252, divided by
 * commas, semicolons or tabs, with line breaks inside quotes, with a line of column names or without. Read line by line.
 */
final class CsvFile
{
    /** So much of the file is looked at to see what it is. */
    private const HEAD = 65536;

    private const DELIMITERS = [',', ';', "\t"];

    private const LONGEST_FIELD = 10_000;

    /** Line breaks that somebody may have put into one field; with more of them a quote was never closed. */
    private const MOST_BREAKS = 20;

    private const LINE_BREAKS = "\r\n|\r|\n";

    /** A line of a sheet; more on one are no sheet. */
    private const LONGEST_LINE = 100_000;

    /** The copy in UTF-8 of what came in UTF-16, which goes when this does. */
    private ?string $copy = null;

    /** @param  list<string>  $columns  names of the columns; `Column 1` and so on where the file has none */
    private function __construct(
        private readonly string $path,
        private readonly string $encoding,
        private readonly string $delimiter,
        private readonly int $skip,
        public readonly bool $hasHeader,
        public readonly array $columns,
        private readonly int $size,
    ) {
    }

    /** @throws RefusedFile */
    public static function open(string $path): self
    {
        $size = (int) filesize($path);
        if ($size === 0) {
            throw RefusedFile::because('empty');
        }
        $head = (string) file_get_contents($path, length: self::HEAD);
        if (str_starts_with($head, "\xFF\xFE") || str_starts_with($head, "\xFE\xFF")) {
            $copy = (string) tempnam(sys_get_temp_dir(), 'ustrel');
            try {
                self::fromUtf16($path, $head[0] === "\xFF" ? 'UTF-16LE' : 'UTF-16BE', $size, $copy);
                $file = self::open($copy);
                $file->copy = $copy;

                return $file;
            } finally {
                isset($file) || unlink($copy);
            }
        }
        if (str_contains($head, "\0")) {
            throw RefusedFile::because('not_text');
        }
        self::mustHaveLines($path);
        $skip = str_starts_with($head, "\xEF\xBB\xBF") ? 3 : 0;
        // The head may end within a character.
        $isUtf8 = mb_check_encoding(mb_strcut(substr($head, $skip), 0, self::HEAD - 8, 'UTF-8'), 'UTF-8');
        $encoding = $isUtf8 || $skip === 3 ? 'UTF-8' : 'Windows-1252';
        $delimiter = self::delimiterOf(substr($head, $skip));

        $first = self::firstLine($path, $skip, $delimiter, $encoding);
        $hasHeader = self::isHeader($first);
        $columns = $hasHeader ? array_map(trim(...), $first) : array_map(static fn (int $index): string => __('import.column', ['number' => $index + 1]), array_keys($first));

        return new self($path, $encoding, $delimiter, $skip, $hasHeader, $columns, $size);
    }

    /**
     * How its numbers are written. Between commas a decimal comma has no room; semicolons come with one as a rule, and so are read by
     * a shop that writes so. Anywhere else both are read, and what can be read both ways is refused.
     *
     * @param  NumberStyle|null  $shop  of the workshop
     */
    public function numberStyle(?NumberStyle $shop): ?NumberStyle
    {
        return match (true) {
            $shop !== null && $this->delimiter === ',' => NumberStyle::Point,
            $shop === NumberStyle::Comma => $shop,
            default => null,
        };
    }

    /**
     * The lines below the column names, blank ones left out.
     *
     * @return Generator<int, array{list<string>, float, string|null}> by the number of the line on which it begins: the fields, the share of the file read so far, and what makes the line unreadable
     *
     * @throws RefusedFile
     */
    public function lines(): Generator
    {
        $file = self::stream($this->path);
        fseek($file, $this->skip);
        $number = 1;
        $isFirst = true;
        while (($fields = fgetcsv($file, null, $this->delimiter, '"', '')) !== false) {
            $at = $number;
            $breaks = array_map(static fn (?string $field): int => (int) preg_match_all('/'.self::LINE_BREAKS.'/', $field ?? ''), $fields);
            if (max($breaks) > self::MOST_BREAKS) {
                throw RefusedFile::because('unclosed_quote', ['line' => $at]);
            }
            $number += 1 + array_sum($breaks);
            $isHeader = $isFirst && $this->hasHeader;
            $isFirst = false;
            if (! $isHeader && $fields !== [null] && implode('', $fields) !== '') {
                yield $at => [$this->inUtf8($fields), min(1.0, ftell($file) / $this->size), $this->faultOf($fields)];
            }
        }
        fclose($file);
    }

    /**
     * @param  list<string|null>  $fields
     * @return list<string>
     */
    private function inUtf8(array $fields): array
    {
        return array_map(fn (?string $field): string => self::trimmed((string) $field, $this->encoding), $fields);
    }

    /**
     * What cannot be read as it stands is not guessed at.
     *
     * @param  list<string|null>  $fields
     */
    private function faultOf(array $fields): ?string
    {
        $line = implode('', $fields);

        return match (true) {
            array_filter($fields, static fn (?string $field): bool => strlen((string) $field) > self::LONGEST_FIELD) !== [] => 'long_field',
            str_contains($line, "\0") => 'not_text_line',
            $this->encoding === 'UTF-8' ? ! mb_check_encoding($line, 'UTF-8') : preg_match('/[\x81\x8D\x8F\x90\x9D]/', $line) === 1 => 'not_text_line',
            default => null,
        };
    }

    /** A field in UTF-8, without the space around it. */
    private static function trimmed(string $field, string $encoding): string
    {
        return trim($encoding === 'UTF-8' ? mb_scrub($field, 'UTF-8') : (string) mb_convert_encoding($field, 'UTF-8', $encoding));
    }

    /** @return resource */
    private static function stream(string $path, string $mode = 'r')
    {
        return fopen($path, $mode) ?: throw new RuntimeException("{$path} cannot be opened");
    }

    public function __destruct()
    {
        if ($this->copy !== null) {
            unlink($this->copy);
        }
    }

    /** @throws RefusedFile */
    private static function fromUtf16(string $path, string $encoding, int $size, string $copy): void
    {
        $from = self::stream($path);
        $to = self::stream($copy, 'w');
        fseek($from, 2);
        // Two bytes a letter; a filter would leave out what does not fit, and say it to nobody.
        while (($part = (string) fread($from, self::HEAD)) !== '') {
            // The second half of a letter of four bytes goes with its first.
            $ahead = $part.(self::endsWithinLetter($part, $encoding) ? (string) fread($from, 2) : '');
            if (! mb_check_encoding($ahead, $encoding)) {
                throw RefusedFile::because($size % 2 === 1 ? 'cut_letter' : 'not_text');
            }
            fwrite($to, (string) mb_convert_encoding($ahead, 'UTF-8', $encoding));
        }
        fclose($from);
        fclose($to);
    }

    private static function endsWithinLetter(string $part, string $encoding): bool
    {
        $high = substr($part, $encoding === 'UTF-16LE' ? -1 : -2, 1);

        return $high >= "\xD8" && $high <= "\xDB";
    }

    /** @throws RefusedFile where a line is longer than any of a sheet: reading it in would take all memory */
    private static function mustHaveLines(string $path): void
    {
        $file = self::stream($path);
        for ($number = 1; ($line = fgets($file, self::LONGEST_LINE)) !== false; $number++) {
            if (strlen($line) >= self::LONGEST_LINE - 1) {
                throw RefusedFile::because('long_line', ['line' => $number]);
            }
        }
        fclose($file);
    }

    /** The one that the first lines have most often and alike. */
    private static function delimiterOf(string $head): string
    {
        $lines = array_slice(array_filter(preg_split('/'.self::LINE_BREAKS.'/', (string) preg_replace('/"[^"]*"/', '', $head)) ?: []), 0, 5);
        $counts = [];
        foreach (self::DELIMITERS as $delimiter) {
            $counts[$delimiter] = min(array_map(static fn (string $line): int => substr_count($line, $delimiter), $lines ?: ['']));
        }
        arsort($counts);
        $best = array_key_first($counts);
        if ($counts[$best] === 0) {
            throw RefusedFile::because('one_column');
        }

        // A semicolon divides where commas are decimal ones.
        return $counts[';'] > 0 ? ';' : (string) $best;
    }

    /** @return list<string> */
    private static function firstLine(string $path, int $skip, string $delimiter, string $encoding): array
    {
        $file = self::stream($path);
        fseek($file, $skip);
        $first = fgetcsv($file, null, $delimiter, '"', '');
        fclose($file);

        return array_map(
            static fn (?string $field): string => self::trimmed((string) $field, $encoding),
            $first === false ? [] : $first,
        );
    }

    /**
     * Names of columns are words: no date and no figure among them.
     *
     * @param  list<string>  $fields
     */
    private static function isHeader(array $fields): bool
    {
        foreach ($fields as $field) {
            if (preg_match('/^[\d.,\/\- ]*\d[\d.,\/\- ]*$/', $field) === 1) {
                return false;
            }
        }

        return true;
    }
}

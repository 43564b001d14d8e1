<?php

declare(strict_types=1);

namespace App\Record\Import;

/**
 * What a file holds and what became of it.
 *
 * @phpstan-type Shown list<array{line: int, message: string, text: string}>
 */
final class ImportReport
{
    private const MOST_SHOWN = 200;

    private const SAMPLES = 5;

    public int $good = 0;

    public int $bad = 0;

    /** Lines that were not on record yet and are now. */
    public int $kept = 0;

    /** Good lines that were on record already. */
    public int $known = 0;

    /** @var Shown the first so many */
    private array $errors = [];

    /** Good lines that are hard to believe. */
    private int $doubtful = 0;

    /** @var Shown the first so many */
    private array $doubts = [];

    /** @var list<list<string>> the first lines, as the file has them */
    private array $samples = [];

    /**
     * @param  list<string>  $columns  of the file
     * @param  array{columns: array<string, int>, dates: string}  $mapping
     * @param  list<string>  $missing  fields that one cannot do without and that have no column
     */
    private function __construct(
        private readonly bool $hasHeader,
        private readonly array $columns,
        private readonly array $mapping,
        private readonly array $missing,
    ) {
    }

    public static function about(CsvFile $file, Mapping $mapping): self
    {
        return new self($file->hasHeader, $file->columns, ['columns' => $mapping->columns, 'dates' => $mapping->dates], $mapping->missing());
    }

    /**
     * Where it has first to be said which column is what.
     *
     * @throws RefusedFile
     */
    public static function unmapped(CsvFile $file, Mapping $mapping): self
    {
        $report = self::about($file, $mapping);
        foreach ($file->lines() as [$fields]) {
            $report->see($fields);
            if (count($report->samples) === self::SAMPLES) {
                break;
            }
        }

        return $report->samples === [] ? throw RefusedFile::because('no_lines') : $report;
    }

    /** @param  array<string, mixed>  $kept  as toArray() said */
    public static function of(array $kept): self
    {
        $report = new self($kept['has_header'], $kept['columns'], $kept['mapping'], $kept['missing']);
        [$report->good, $report->bad, $report->kept, $report->known] = [$kept['good'], $kept['bad'], $kept['kept'], $kept['known']];
        [$report->errors, $report->doubtful, $report->doubts, $report->samples] = [$kept['errors'], $kept['doubtful'], $kept['doubts'], $kept['samples']];

        return $report;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'has_header' => $this->hasHeader,
            'columns' => $this->columns,
            'mapping' => $this->mapping,
            'missing' => $this->missing,
            'samples' => $this->samples,
            'good' => $this->good,
            'bad' => $this->bad,
            'kept' => $this->kept,
            'known' => $this->known,
            'errors' => $this->errors,
            'doubtful' => $this->doubtful,
            'doubts' => $this->doubts,
        ];
    }

    /** @param  list<string>  ...$lines */
    public function see(array ...$lines): void
    {
        foreach ($lines as $fields) {
            if (count($this->samples) >= self::SAMPLES) {
                return;
            }
            $this->samples[] = array_map(static fn (string $field): string => mb_strimwidth($field, 0, 120, '…'), $fields);
        }
    }

    public function refuse(int $line, string $message, string $text): void
    {
        $this->bad++;
        if (count($this->errors) < self::MOST_SHOWN) {
            $this->errors[] = ['line' => $line, 'message' => $message, 'text' => $text];
        }
    }

    public function doubt(int $line, string $message, string $text): void
    {
        $this->doubtful++;
        if (count($this->doubts) < self::MOST_SHOWN) {
            $this->doubts[] = ['line' => $line, 'message' => $message, 'text' => $text];
        }
    }

    /** What is shown stands in the order of the file. */
    public function sorted(): self
    {
        $byLine = static fn (array $a, array $b): int => $a['line'] <=> $b['line'];
        usort($this->errors, $byLine);
        usort($this->doubts, $byLine);

        return $this;
    }

    /** @param  list<string>  $fields */
    public static function shortened(array $fields): string
    {
        return mb_strimwidth(implode(' | ', $fields), 0, 120, '…');
    }
}

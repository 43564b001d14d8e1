<?php

declare(strict_types=1);

namespace App\Record\Import;

/** What a file holds and what became of it. */
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

    /** @var list<array{line: int, message: string, text: string}> the first so many */
    public array $errors = [];

    /** Good lines that are hard to believe. */
    public int $doubtful = 0;

    /** @var list<array{line: int, message: string, text: string}> the first so many */
    public array $doubts = [];

    /** @var list<list<string>> the first lines, as the file has them */
    public array $samples = [];

    /** @param  list<string>  $fields */
    public function see(array $fields): void
    {
        if (count($this->samples) < self::SAMPLES) {
            $this->samples[] = $fields;
        }
    }

    public function refuse(int $line, string $message, string $text = ''): void
    {
        $this->bad++;
        if (count($this->errors) < self::MOST_SHOWN) {
            $this->errors[] = self::shown($line, $message, $text);
        }
    }

    public function doubt(int $line, string $message, string $text): void
    {
        $this->doubtful++;
        if (count($this->doubts) < self::MOST_SHOWN) {
            $this->doubts[] = self::shown($line, $message, $text);
        }
    }

    /** What is shown stands in the order of the file. */
    public function sort(): void
    {
        $byLine = static fn (array $a, array $b): int => $a['line'] <=> $b['line'];
        usort($this->errors, $byLine);
        usort($this->doubts, $byLine);
    }

    /** @return array{line: int, message: string, text: string} */
    private static function shown(int $line, string $message, string $text): array
    {
        return ['line' => $line, 'message' => $message, 'text' => mb_strimwidth($text, 0, 120, '…')];
    }
}

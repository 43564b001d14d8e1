<?php

declare(strict_types=1);

namespace App\Record\Import;

use Ustrel\Core\Measure\NumberStyle;

/** Which column of a file is which field, and how its dates are written. */
final readonly class Mapping
{
    /**
     * @param  array<string, int>  $columns  by field, from 0
     * @param  string  $dates  auto, dmy or mdy: what 3/4/2025 means
     */
    private function __construct(
        public ImportKind $kind,
        public array $columns,
        public string $dates,
        /** How its numbers are written. */
        public ?NumberStyle $style = null,
    ) {
    }

    /** @param  list<string>  $columns  as the file names them */
    public static function suggested(ImportKind $kind, array $columns): self
    {
        $plain = array_map(static fn (string $column): string => trim((string) preg_replace('/[^a-z\/]+/', ' ', mb_strtolower($column))), $columns);
        $found = [];
        foreach (array_keys($kind->fields()) as $field) {
            foreach ([strtr($field, '_', ' '), ...ImportKind::otherNames($field)] as $name) {
                $index = array_search($name, $plain, true);
                if ($index !== false && ! in_array($index, $found, true)) {
                    $found[$field] = $index;
                    break;
                }
            }
        }

        return new self($kind, $found, 'auto');
    }

    /** @param  array<mixed>  $given  shape: the ImportMapping schema of the OpenAPI document */
    public static function of(ImportKind $kind, array $given, int $columns): self
    {
        $chosen = [];
        foreach (array_keys($kind->fields()) as $field) {
            $index = $given['columns'][$field] ?? null;
            if (is_int($index) && $index >= 0 && $index < $columns) {
                $chosen[$field] = $index;
            }
        }

        return new self($kind, $chosen, in_array($given['dates'] ?? '', ['dmy', 'mdy'], true) ? $given['dates'] : 'auto');
    }

    public function written(?NumberStyle $style): self
    {
        return new self($this->kind, $this->columns, $this->dates, $style);
    }

    /** @return list<string> the fields that one cannot do without and that no column was chosen for */
    public function missing(): array
    {
        return array_keys(array_filter($this->kind->fields(), fn (bool $needed, string $field): bool => $needed && ! isset($this->columns[$field]), ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param  list<string>  $fields  of one line
     * @return array<string, string> by field; empty ones left out
     */
    public function pick(array $fields): array
    {
        $picked = [];
        foreach ($this->columns as $field => $index) {
            if (($fields[$index] ?? '') !== '') {
                $picked[$field] = $fields[$index];
            }
        }

        return $picked;
    }
}

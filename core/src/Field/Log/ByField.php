<?php

declare(strict_types=1);

namespace Ustrel\Core\Field\Log;

/** What was planned for the fields of a season, and what the log says of them. */
final class ByField
{
    /** A field is done where so much of it is. */
    private const DONE = 0.97;

    /**
     * @param  list<array{name: string, acres: float, seed: string|null, population: int|null}>  $planned
     * @param  list<array{field: string, acres: float, lot: string|null, populations: Populations|null}>  $planted
     * @return list<array{name: string, planned: float|null, done: float, is_done: bool, seed: string|null, lots: list<string>, population: int|null, planted: int|null}> planned ones in their order, then the others
     */
    public static function of(array $planned, array $planted): array
    {
        $key = static fn (string $name): string => mb_strtolower((string) preg_replace('/\s+/', ' ', trim($name)));
        $fields = [];
        foreach ($planned as $field) {
            // A field that is planned in two parts is one field.
            $before = $fields[$key($field['name'])] ?? null;
            $fields[$key($field['name'])] = ['name' => $before['name'] ?? $field['name'], 'planned' => ($before['planned'] ?? 0.0) + $field['acres'], 'seed' => $before['seed'] ?? $field['seed'], 'population' => $before['population'] ?? $field['population'], 'lines' => []];
        }
        foreach ($planted as $line) {
            $fields[$key($line['field'])] ??= ['name' => $line['field'], 'planned' => null, 'seed' => null, 'population' => null, 'lines' => []];
            $fields[$key($line['field'])]['lines'][] = $line;
        }

        return array_values(array_map(self::field(...), $fields));
    }

    /**
     * @param  array{name: string, planned: float|null, seed: string|null, population: int|null, lines: list<array{field: string, acres: float, lot: string|null, populations: Populations|null}>}  $of
     * @return array{name: string, planned: float|null, done: float, is_done: bool, seed: string|null, lots: list<string>, population: int|null, planted: int|null}
     */
    private static function field(array $of): array
    {
        $done = array_sum(array_column($of['lines'], 'acres'));
        [$seeds, $known] = [0.0, 0.0];
        foreach ($of['lines'] as ['acres' => $acres, 'populations' => $populations]) {
            [$seeds, $known] = $populations === null ? [$seeds, $known] : [$seeds + $populations->seeds($acres), $known + $acres];
        }

        return [
            'name' => $of['name'], 'planned' => $of['planned'], 'done' => round($done, 3), 'is_done' => $of['planned'] !== null && $done >= self::DONE * $of['planned'], 'seed' => $of['seed'],
            'lots' => array_values(array_unique(array_filter(array_column($of['lines'], 'lot')))), 'population' => $of['population'], 'planted' => $known > 0 ? (int) round($seeds / $known) : null,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Record;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * Lines of projections that are to stand, gathered over a change and written in one statement: what is new goes in, what
 * differs is changed, what is no more in a scope goes out, and what is the same is left alone. The plan of that statement
 * does not hang on statistics: whatever it looks up, it looks up by primary key.
 */
final class BulkWrite
{
    /** @var array<class-string<Model>, list<array<string, mixed>>> by model, columns as the database takes them */
    private array $put = [];

    /** @var array<class-string<Model>, list<array<string, string|int|list<string>>>> by model, of which columns and values only the lines put may stand */
    private array $scopes = [];

    /** @var array<string, true> walks whose guide is to be got anew */
    private array $guides = [];

    /**
     * @param  class-string<Model>  $model
     * @param  list<array<string, mixed>>  $lines  with all columns of the table
     */
    public function put(string $model, array $lines): void
    {
        if ($lines !== []) {
            $this->put[$model] = [...$this->put[$model] ?? [], ...$lines];
        }
    }

    /**
     * The same, and no other lines of the scope.
     *
     * @param  class-string<Model>  $model
     * @param  array<string, string|int|list<string>>  $scope  value, or values, by column
     * @param  list<array<string, mixed>>  $lines
     */
    public function replace(string $model, array $scope, array $lines): void
    {
        $this->scopes[$model][] = $scope;
        $this->put($model, $lines);
    }

    /** Devices that walk it have to get its guide anew. */
    public function guideHasChanged(string $walk): void
    {
        $this->guides[$walk] = true;
    }

    public function write(): void
    {
        $parts = $values = [];
        foreach (array_unique([...array_keys($this->scopes), ...array_keys($this->put)]) as $index => $model) {
            $this->table($index, new $model, $this->put[$model] ?? [], $this->scopes[$model] ?? [], $parts, $values);
        }
        if ($this->guides !== []) {
            $parts[] = 'guides AS (UPDATE walks SET guide_revision = guide_revision + 1 WHERE id IN ('.self::marks($this->guides).'))';
            array_push($values, ...array_keys($this->guides));
        }
        if ($parts !== []) {
            DB::statement('WITH '.implode(', ', $parts).' SELECT 1', $values);
        }
        $this->put = $this->scopes = $this->guides = [];
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @param  list<array<string, string|int|list<string>>>  $scopes
     * @param  list<string>  $parts
     * @param  list<string|int>  $values
     */
    private function table(int $index, Model $model, array $lines, array $scopes, array &$parts, array &$values): void
    {
        $table = $model->getTable();
        $keys = self::KEYS[$table];
        $columns = $lines === [] ? [] : array_keys($lines[0]);
        $rest = array_diff($columns, $keys);
        $list = static fn (array $of, string $prefix = ''): string => implode(', ', array_map(static fn (string $column): string => "{$prefix}{$column}", $of));

        $parts[] = "given_{$index} AS MATERIALIZED (SELECT * FROM jsonb_populate_recordset(NULL::{$table}, ?::jsonb))";
        $values[] = json_encode($lines, JSON_THROW_ON_ERROR);
        if ($scopes !== []) {
            $which = implode(' OR ', array_map(static function (array $scope) use (&$values): string {
                $conditions = [];
                foreach ($scope as $column => $value) {
                    $conditions[] = is_array($value) ? "old.{$column} IN (".self::marks($value).')' : "old.{$column} = ?";
                    array_push($values, ...(array) $value);
                }

                return '('.implode(' AND ', $conditions).')';
            }, $scopes));
            $parts[] = "gone_{$index} AS (DELETE FROM {$table} AS old WHERE ({$which}) AND NOT EXISTS (SELECT FROM given_{$index} AS given WHERE ({$list($keys, 'given.')}) = ({$list($keys, 'old.')})))";
        }
        if ($lines !== []) {
            $set = implode(', ', array_map(static fn (string $column): string => "{$column} = excluded.{$column}", $rest));
            $parts[] = "put_{$index} AS (INSERT INTO {$table} AS old ({$list($columns)}) SELECT {$list($columns)} FROM given_{$index} ON CONFLICT ({$list($keys)}) DO UPDATE SET {$set}"
                ." WHERE ({$list($rest, 'old.')}) IS DISTINCT FROM ({$list($rest, 'excluded.')}))";
        }
    }

    private const KEYS = [
        'fittings' => ['id'],
        'cells' => ['walk_id', 'row_number', 'check_key', 'side'],
        'renewals' => ['walk_id', 'row_number', 'check_key', 'side'],
        'outlooks' => ['walk_id', 'row_number', 'check_key', 'side'],
        'walk_rows' => ['walk_id', 'row_number'],
        'forecasts' => ['planter_id', 'row_number', 'check_key', 'side'],
        'learned_sums' => ['planter_id', 'lesson', 'subject'],
    ];

    /** @param  array<mixed>  $values */
    private static function marks(array $values): string
    {
        return implode(', ', array_fill(0, max(1, count($values)), '?'));
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Models\Import;
use App\Models\Planter;
use App\Record\Import\CsvFile;
use App\Record\Import\ImportMode;
use App\Record\Import\ImportReport;
use App\Record\Import\Mapping;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Import', required: ['kind', 'file_name', 'kept', 'left_out', 'imported_at', 'imported_by'], properties: [
    new OA\Property(property: 'kind', ref: '#/components/schemas/ImportKind'),
    new OA\Property(property: 'file_name', type: 'string'),
    new OA\Property(property: 'kept', type: 'integer'),
    new OA\Property(property: 'left_out', type: 'integer'),
    new OA\Property(property: 'imported_at', type: 'string', format: 'date-time'),
    new OA\Property(property: 'imported_by', type: 'string'),
])]
#[OA\Schema(schema: 'ImportProgress', required: ['lines', 'share'], properties: [
    new OA\Property(property: 'lines', description: 'Read so far', type: 'integer'),
    new OA\Property(property: 'share', description: 'Of the file', type: 'number'),
])]
#[OA\Schema(schema: 'ImportRefusal', required: ['refused'], properties: [new OA\Property(property: 'refused', type: 'string')])]
#[OA\Schema(schema: 'ImportLine', required: ['line', 'message', 'text'], properties: [
    new OA\Property(property: 'line', type: 'integer'),
    new OA\Property(property: 'message', type: 'string'),
    new OA\Property(property: 'text', description: 'As the file has it', type: 'string'),
])]
#[OA\Schema(schema: 'ImportResult', required: ['has_header', 'columns', 'fields', 'mapping', 'missing', 'samples', 'good', 'bad', 'kept', 'known', 'errors', 'doubtful', 'doubts', 'done', 'already'], properties: [
    new OA\Property(property: 'has_header', type: 'boolean'),
    new OA\Property(property: 'columns', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'fields', description: 'That the kind of file can have', type: 'array', items: new OA\Items(required: ['field', 'needed'], properties: [
        new OA\Property(property: 'field', type: 'string'),
        new OA\Property(property: 'needed', type: 'boolean'),
    ], type: 'object')),
    new OA\Property(property: 'mapping', ref: '#/components/schemas/ImportMapping'),
    new OA\Property(property: 'missing', description: 'Needed fields without a column: choose one first', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'samples', description: 'The first lines', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string'))),
    new OA\Property(property: 'good', type: 'integer'),
    new OA\Property(property: 'bad', type: 'integer'),
    new OA\Property(property: 'kept', description: 'New to the record', type: 'integer'),
    new OA\Property(property: 'known', description: 'On record already', type: 'integer'),
    new OA\Property(property: 'errors', description: 'The first 200', type: 'array', items: new OA\Items(ref: '#/components/schemas/ImportLine')),
    new OA\Property(property: 'doubtful', description: 'Good lines that are hard to believe', type: 'integer'),
    new OA\Property(property: 'doubts', description: 'The first 200', type: 'array', items: new OA\Items(ref: '#/components/schemas/ImportLine')),
    new OA\Property(property: 'done', description: 'False for a preview, and where nothing was kept', type: 'boolean'),
    new OA\Property(property: 'already', description: 'When this very file was imported before', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/Import')]),
])]
final class ImportShape
{
    /** @return array<string, mixed> */
    public static function import(Import $import): array
    {
        return [
            'kind' => $import->kind,
            'file_name' => $import->file_name,
            'kept' => $import->kept,
            'left_out' => $import->left_out,
            'imported_at' => $import->imported_at->utc()->format('Y-m-d\TH:i:s\Z'),
            'imported_by' => $import->user->name,
        ];
    }

    /** @return array<string, mixed>|null */
    public static function already(Planter $planter, string $sha256): ?array
    {
        $before = Import::query()->where('planter_id', $planter->id)->where('sha256', $sha256)->with('user:id,name')->orderByDesc('id')->first();

        return $before === null ? null : self::import($before);
    }

    /**
     * @param  array<string, mixed>|null  $already
     * @return array<string, mixed>
     */
    public static function unmapped(CsvFile $file, Mapping $mapping, ?array $already): array
    {
        $report = new ImportReport;
        foreach ($file->lines() as [$fields]) {
            $report->see($fields);
            if (count($report->samples) === 5) {
                break;
            }
        }

        return self::result($file, $mapping, $report, ImportMode::Preview, $already);
    }

    /**
     * @param  array<string, mixed>|null  $already
     * @return array<string, mixed>
     */
    public static function result(CsvFile $file, Mapping $mapping, ImportReport $report, ImportMode $mode, ?array $already): array
    {
        $fields = $mapping->kind->fields();

        return [
            'has_header' => $file->hasHeader,
            'columns' => $file->columns,
            'fields' => array_map(static fn (string $field, bool $needed): array => ['field' => $field, 'needed' => $needed], array_keys($fields), array_values($fields)),
            'mapping' => ['columns' => (object) $mapping->columns, 'dates' => $mapping->dates],
            'missing' => $mapping->missing(),
            'samples' => $report->samples,
            'good' => $report->good,
            'bad' => $report->bad,
            'kept' => $report->kept,
            'known' => $report->known,
            'errors' => $report->errors,
            'doubtful' => $report->doubtful,
            'doubts' => $report->doubts,
            'done' => $mode !== ImportMode::Preview && $report->kept + $report->known > 0 && ($mode === ImportMode::Good || $report->bad === 0),
            'already' => $already,
        ];
    }
}

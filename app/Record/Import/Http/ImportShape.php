<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Record\Import\ImportKind;
use App\Record\Import\ImportMode;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ImportState', type: 'string', enum: ImportState::class)]
#[OA\Schema(schema: 'Import', required: ['id', 'kind', 'mode', 'state', 'file_name', 'kept', 'left_out', 'imported_at', 'imported_by'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'kind', ref: '#/components/schemas/ImportKind'),
    new OA\Property(property: 'mode', ref: '#/components/schemas/ImportMode'),
    new OA\Property(property: 'state', ref: '#/components/schemas/ImportState'),
    new OA\Property(property: 'file_name', type: 'string'),
    new OA\Property(property: 'kept', description: 'New to the record so far; of a preview, what would be', type: 'integer'),
    new OA\Property(property: 'left_out', type: 'integer'),
    new OA\Property(property: 'imported_at', description: 'When it was sent', type: 'string', format: 'date-time'),
    new OA\Property(property: 'imported_by', type: 'string'),
])]
#[OA\Schema(schema: 'ImportNow', required: ['import', 'progress', 'result', 'refused'], properties: [
    new OA\Property(property: 'import', ref: '#/components/schemas/Import'),
    new OA\Property(property: 'progress', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/ImportProgress')]),
    new OA\Property(property: 'result', description: 'Once it is done', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/ImportResult')]),
    new OA\Property(property: 'refused', description: 'Why the file was not taken', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'ImportProgress', required: ['lines', 'share'], properties: [
    new OA\Property(property: 'lines', description: 'Read so far', type: 'integer'),
    new OA\Property(property: 'share', description: 'Of the file', type: 'number'),
])]
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
            'id' => $import->id,
            'kind' => $import->kind,
            'mode' => $import->mode,
            'state' => $import->state->value,
            'file_name' => $import->file_name,
            'kept' => $import->kept,
            'left_out' => $import->left_out,
            'imported_at' => $import->imported_at->utc()->format('Y-m-d\TH:i:s\Z'),
            'imported_by' => $import->user->name,
        ];
    }

    /**
     * @param  array{lines: int, share: float}|null  $progress
     * @return array<string, mixed>
     */
    public static function now(Import $import, ?array $progress, ?Import $already): array
    {
        return [
            'import' => self::import($import),
            'progress' => $progress,
            'result' => $import->state === ImportState::Done && $import->report !== null ? self::result($import, $import->report, $already) : null,
            'refused' => $import->refused,
        ];
    }

    /**
     * @param  array<string, mixed>  $report  of ImportReport
     * @return array<string, mixed>
     */
    private static function result(Import $import, array $report, ?Import $already): array
    {
        $fields = ImportKind::from($import->kind)->fields();
        $isThere = $report['kept'] + $report['known'] > 0;

        return [
            ...$report,
            'mapping' => ['columns' => (object) $report['mapping']['columns'], 'dates' => $report['mapping']['dates']],
            'fields' => array_map(static fn (string $field, bool $needed): array => ['field' => $field, 'needed' => $needed], array_keys($fields), array_values($fields)),
            'done' => $isThere && match (ImportMode::from($import->mode)) {
                ImportMode::Preview => false,
                ImportMode::Whole => $report['bad'] === 0,
                ImportMode::Good => true,
            },
            'already' => $already === null ? null : self::import($already),
        ];
    }
}

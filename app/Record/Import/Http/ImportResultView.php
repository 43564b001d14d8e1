<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Api\Schema;
use App\Models\Record\Import;
use App\Record\Import\ImportKind;
use App\Record\Import\ImportMode;

final readonly class ImportResultView extends Schema
{
    public function __construct(
        public bool $has_header,
        /** @var list<string> */
        public array $columns,
        /** @var list<array{field: string, needed: bool}> That the kind of file can have */
        public array $fields,
        /** @var array{columns: array<string, int>, dates: 'auto'|'dmy'|'mdy'} */
        public array $mapping,
        /** @var list<string> Needed fields without a column: choose one first */
        public array $missing,
        /** @var list<list<string>> The first lines */
        public array $samples,
        public int $good,
        public int $bad,
        /** New to the record */
        public int $kept,
        /** On record already */
        public int $known,
        /** @var list<ImportLineView> The first 200 */
        public array $errors,
        /** Good lines that are hard to believe */
        public int $doubtful,
        /** @var list<ImportLineView> The first 200 */
        public array $doubts,
        /** False for a preview, and where nothing was kept */
        public bool $done,
        /** When this very file was imported before */
        public ?ImportView $already,
    ) {
    }

    /** @param  array<string, mixed>  $report  of ImportReport */
    public static function of(Import $import, array $report, ?Import $already): self
    {
        $fields = ImportKind::from($import->kind)->fields();
        $lines = static fn (array $shown): array => array_map(static fn (array $of): ImportLineView => new ImportLineView(...$of), $shown);

        return new self(...[
            'errors' => $lines($report['errors']),
            'doubts' => $lines($report['doubts']),
            'fields' => array_map(static fn (string $field, bool $needed): array => ['field' => $field, 'needed' => $needed], array_keys($fields), array_values($fields)),
            'done' => $report['kept'] + $report['known'] > 0 && match (ImportMode::from($import->mode)) {
                ImportMode::Preview => false,
                ImportMode::Whole => $report['bad'] === 0,
                ImportMode::Good => true,
            },
            'already' => $already === null ? null : ImportView::of($already),
        ] + $report);
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Api\Schema;
use App\Models\Record\Import;
use App\Models\Record\ImportState;
use App\Record\Import\ImportKind;
use App\Record\Import\ImportMode;
use DateTimeInterface;

final readonly class ImportView extends Schema
{
    public function __construct(
        public int $id,
        public ImportKind $kind,
        public ImportMode $mode,
        public ImportState $state,
        public string $file_name,
        /** New to the record so far; of a preview, what would be */
        public int $kept,
        public int $left_out,
        /** When it was sent */
        public DateTimeInterface $imported_at,
        public string $imported_by,
    ) {
    }

    public static function of(Import $import): self
    {
        return new self(
            id: $import->id,
            kind: ImportKind::from($import->kind),
            mode: ImportMode::from($import->mode),
            state: $import->state,
            file_name: $import->file_name,
            kept: $import->kept,
            left_out: $import->left_out,
            imported_at: $import->imported_at,
            imported_by: $import->user->name,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Http\Api\Schema;
use App\Models\Record\Import;
use App\Models\Record\ImportState;

final readonly class ImportNowView extends Schema
{
    public function __construct(
        public ImportView $import,
        public ?ImportProgressView $progress,
        /** Once it is done */
        public ?ImportResultView $result,
        /** Why the file was not taken */
        public ?string $refused,
    ) {
    }

    /**
     * @param  array{lines: int, share: float}|null  $progress
     */
    public static function of(Import $import, ?array $progress, ?Import $already): self
    {
        return new self(
            import: ImportView::of($import),
            progress: $progress === null ? null : new ImportProgressView($progress['lines'], $progress['share']),
            result: $import->state === ImportState::Done && $import->report !== null ? ImportResultView::of($import, $import->report, $already) : null,
            refused: $import->refused,
        );
    }
}

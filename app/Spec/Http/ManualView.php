<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Manual;

final readonly class ManualView extends Schema
{
    public function __construct(
        #[Inlined] public ManualEdit $edit,
        public int $id,
        /** Null where it is of a spec sheet */
        public ?int $planter_id,
        /** Null where it is of one planter */
        public ?int $spec_sheet_id,
        public int $bytes,
    ) {
    }

    public static function of(Manual $of): self
    {
        return new self(ManualEdit::ofModel($of), id: $of->id, planter_id: $of->planter_id, spec_sheet_id: $of->spec_sheet_id, bytes: $of->bytes);
    }
}

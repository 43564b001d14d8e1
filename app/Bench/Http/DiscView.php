<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Bench\Disc;

final readonly class DiscView extends Schema
{
    public function __construct(
        #[Inlined] public DiscEdit $edit,
        public int $id,
    ) {
    }

    public static function of(Disc $of): self
    {
        return new self(DiscEdit::ofModel($of), $of->id);
    }
}

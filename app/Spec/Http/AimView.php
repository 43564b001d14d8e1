<?php

declare(strict_types=1);

namespace App\Spec\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Aim;

final readonly class AimView extends Schema
{
    public function __construct(
        #[Inlined] public AimEdit $edit,
        public int $id,
    ) {
    }

    public static function of(Aim $aim): self
    {
        return new self(AimEdit::ofModel($aim), $aim->id);
    }
}

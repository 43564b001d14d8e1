<?php

declare(strict_types=1);

namespace App\Work\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Models\Work\Joint;

final readonly class JointView extends Schema
{
    public function __construct(
        #[Inlined] public JointEdit $edit,
        /** What comes off */
        public string $step,
    ) {
    }

    public static function of(Joint $of): self
    {
        return new self(JointEdit::ofModel($of), step: $of->step);
    }
}

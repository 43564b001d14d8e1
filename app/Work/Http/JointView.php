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
        /** @var list<string> What holds it on each row, and its tools, from row 1; empty where nobody said */
        public array $held,
    ) {
    }

    public static function of(Joint $of, int $rows): self
    {
        return new self(JointEdit::ofModel($of), step: $of->step, held: array_map($of->at(...), range(1, $rows)));
    }
}

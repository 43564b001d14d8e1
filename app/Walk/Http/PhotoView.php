<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\Remark;

final readonly class PhotoView extends Schema
{
    public function __construct(
        #[Inlined] public RemarkView $remark,
        public int $width,
        public int $height,
    ) {
    }

    public static function of(Remark $of): self
    {
        return new self(RemarkView::of($of), $of->width, $of->height);
    }
}

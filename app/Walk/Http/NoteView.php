<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\Remark;
use LogicException;
use Ustrel\Core\Walk\NoteKind;

final readonly class NoteView extends Schema
{
    public function __construct(
        #[Inlined] public RemarkView $remark,
        public NoteKind $kind,
        public string $text,
    ) {
    }

    public static function of(Remark $of): self
    {
        return new self(RemarkView::of($of), $of->kind ?? throw new LogicException('A note is of a kind'), $of->text);
    }
}

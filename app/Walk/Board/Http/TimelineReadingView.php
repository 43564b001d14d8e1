<?php

declare(strict_types=1);

namespace App\Walk\Board\Http;

use App\Http\Api\Inlined;
use App\Http\Api\Schema;
use App\Walk\Board\HistoryReading;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\Side;

final readonly class TimelineReadingView extends Schema
{
    public function __construct(
        #[Inlined] public HistoryReadingView $historyReading,
        public CheckKey $check,
        public Side $side,
    ) {
    }

    public static function of(HistoryReading $of): self
    {
        return new self(HistoryReadingView::of($of), CheckKey::from($of->check), Side::from($of->side));
    }
}

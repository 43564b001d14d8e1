<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Api\Schema;
use App\Record\Http\ReceiptView;

final readonly class BatchView extends Schema
{
    public function __construct(
        /** @var list<ReceiptView> */
        public array $receipts,
        public WalkNewsView $news,
    ) {
    }
}

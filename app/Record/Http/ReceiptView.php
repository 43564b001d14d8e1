<?php

declare(strict_types=1);

namespace App\Record\Http;

use App\Http\Api\Schema;
use App\Record\Outcome;
use App\Record\Receipt;
use App\Walk\Board\Http\ReasonView;

final readonly class ReceiptView extends Schema
{
    public function __construct(
        /** Place in what was sent, from 0 */
        public int $index,
        public ?string $id,
        public Outcome $outcome,
        /** The HTTP status the item would have had alone */
        public int $status,
        public ?string $message,
        /** @var list<ReasonView> */
        public array $doubts,
    ) {
    }

    /**
     * @param  list<Receipt>  $receipts
     * @return list<self>
     */
    public static function all(array $receipts): array
    {
        return array_map(static fn (Receipt $receipt): self => new self(
            index: $receipt->index,
            id: $receipt->id,
            outcome: $receipt->outcome,
            status: $receipt->outcome->status(),
            message: $receipt->message,
            doubts: ReasonView::all($receipt->doubts),
        ), $receipts);
    }
}

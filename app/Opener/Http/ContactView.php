<?php

declare(strict_types=1);

namespace App\Opener\Http;

use App\Http\Api\Schema;
use App\Opener\RowContact;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimSensitivity;

final readonly class ContactView extends Schema
{
    public function __construct(
        /**
         * How much shorter a contact at the aim gets for a shim added on each side; null where the planter has no blade contact
         *
         * @var array{
         *     mm: float,
         *     sd_mm: float,
         *     moves: int, // Of this planter, that it was learned from
         *     aim_mm: float,
         * }|null
         */
        public ?array $sensitivity,
        /** @var list<RowContactView> */
        public array $rows,
        /** @var list<OddShimMoveView> */
        public array $odd,
    ) {
    }

    /**
     * @param  array{sensitivity: ShimSensitivity, aim: float, rows: list<RowContact>, odd: list<ShimMove>}|null  $contact
     */
    public static function of(?array $contact): self
    {
        return $contact === null ? new self(sensitivity: null, rows: [], odd: []) : new self(
            sensitivity: [
                'mm' => round($contact['aim'] - $contact['sensitivity']->after($contact['aim'], 1), 3),
                'sd_mm' => round($contact['sensitivity']->sd / (2 * $contact['aim']), 3),
                'moves' => $contact['sensitivity']->moves,
                'aim_mm' => round($contact['aim'], 3),
            ],
            rows: array_map(static fn (RowContact $row): RowContactView => new RowContactView(
                row: $row->row,
                contact_mm: $row->contact?->size,
                taken_at: $row->contact?->at,
                shims_left: $row->left,
                shims_right: $row->right,
                moved: $row->moved,
                advice: $row->advice === null ? null : new ShimAdviceView(
                    code: $row->advice->code,
                    left: $row->advice->left,
                    right: $row->advice->right,
                    pack: $row->advice->pack,
                    expected_mm: $row->advice->expected === null ? null : round($row->advice->expected, 2),
                    sd_mm: $row->advice->sd === null ? null : round($row->advice->sd, 2),
                    uneven: $row->advice->uneven,
                    long: $row->advice->long,
                ),
            ), $contact['rows']),
            odd: array_values(array_filter(array_map(OddShimMoveView::of(...), $contact['odd']))),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Opener\Http;

use App\Opener\RowContact;
use OpenApi\Attributes as OA;
use Ustrel\Core\Opener\ShimAdviceCode;
use Ustrel\Core\Opener\ShimMove;
use Ustrel\Core\Opener\ShimSensitivity;

#[OA\Schema(schema: 'ShimAdvice', required: ['code', 'left', 'right', 'pack', 'expected_mm', 'sd_mm', 'uneven', 'long'], properties: [
    new OA\Property(property: 'code', description: 'Worded under shims.CODE in lang/en', type: 'string', enum: ShimAdviceCode::class),
    new OA\Property(property: 'left', description: 'Shims to add on the left; negative to take out', type: 'integer'),
    new OA\Property(property: 'right', type: 'integer'),
    new OA\Property(property: 'pack', description: 'Shims on each side afterwards', type: 'integer', nullable: true),
    new OA\Property(property: 'expected_mm', description: 'Contact length to be expected after', type: 'number', nullable: true),
    new OA\Property(property: 'sd_mm', type: 'number', nullable: true),
    new OA\Property(property: 'uneven', description: 'The sides do not carry the same number', type: 'boolean'),
    new OA\Property(property: 'long', description: 'Longer than the window, not shorter', type: 'boolean'),
])]
#[OA\Schema(schema: 'RowContact', required: ['row', 'contact_mm', 'taken_at', 'shims_left', 'shims_right', 'moved', 'advice'], properties: [
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'contact_mm', description: 'Null where it was not measured since it was last set', type: 'number', nullable: true),
    new OA\Property(property: 'taken_at', type: 'string', format: 'date-time', nullable: true),
    new OA\Property(property: 'shims_left', description: 'Inner shims, as counted and moved since; null where nobody counted', type: 'integer', nullable: true),
    new OA\Property(property: 'shims_right', type: 'integer', nullable: true),
    new OA\Property(property: 'moved', description: 'Shims were moved or blades changed, and the contact was not measured since', type: 'boolean'),
    new OA\Property(property: 'advice', nullable: true, oneOf: [new OA\Schema(ref: '#/components/schemas/ShimAdvice')]),
])]
#[OA\Schema(schema: 'OddShimMove', description: 'A move after which the contact went the wrong way: the entry or a reading is wrong', required: ['id', 'row', 'pairs', 'before_mm', 'after_mm', 'happened_at'], properties: [
    new OA\Property(property: 'id', type: 'string', format: 'uuid'),
    new OA\Property(property: 'row', type: 'integer'),
    new OA\Property(property: 'pairs', type: 'integer'),
    new OA\Property(property: 'before_mm', type: 'number'),
    new OA\Property(property: 'after_mm', type: 'number'),
    new OA\Property(property: 'happened_at', type: 'string', format: 'date-time'),
])]
#[OA\Schema(schema: 'Contact', required: ['sensitivity', 'rows', 'odd'], properties: [
    new OA\Property(property: 'sensitivity', description: 'How much shorter a contact at the aim gets for a shim added on each side; null where the planter has no blade contact', required: ['mm', 'sd_mm', 'moves', 'aim_mm'], properties: [
        new OA\Property(property: 'mm', type: 'number'),
        new OA\Property(property: 'sd_mm', type: 'number'),
        new OA\Property(property: 'moves', description: 'Of this planter, that it was learned from', type: 'integer'),
        new OA\Property(property: 'aim_mm', type: 'number'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'rows', type: 'array', items: new OA\Items(ref: '#/components/schemas/RowContact')),
    new OA\Property(property: 'odd', type: 'array', items: new OA\Items(ref: '#/components/schemas/OddShimMove')),
])]
final class ContactShape
{
    /**
     * @param  array{sensitivity: ShimSensitivity, aim: float, rows: list<RowContact>, odd: list<ShimMove>}|null  $contact
     * @return array<string, mixed>
     */
    public static function of(?array $contact): array
    {
        return $contact === null ? ['sensitivity' => null, 'rows' => [], 'odd' => []] : [
            'sensitivity' => [
                'mm' => round($contact['aim'] - $contact['sensitivity']->after($contact['aim'], 1), 3),
                'sd_mm' => round($contact['sensitivity']->sd / (2 * $contact['aim']), 3),
                'moves' => $contact['sensitivity']->moves,
                'aim_mm' => round($contact['aim'], 3),
            ],
            'rows' => array_map(static fn (RowContact $row): array => [
                'row' => $row->row,
                'contact_mm' => $row->contact?->size,
                'taken_at' => $row->contact?->at->toIso(),
                'shims_left' => $row->left,
                'shims_right' => $row->right,
                'moved' => $row->moved,
                'advice' => $row->advice === null ? null : [
                    'code' => $row->advice->code->value,
                    'left' => $row->advice->left,
                    'right' => $row->advice->right,
                    'pack' => $row->advice->pack,
                    'expected_mm' => $row->advice->expected === null ? null : round($row->advice->expected, 2),
                    'sd_mm' => $row->advice->sd === null ? null : round($row->advice->sd, 2),
                    'uneven' => $row->advice->uneven,
                    'long' => $row->advice->long,
                ],
            ], $contact['rows']),
            'odd' => array_map(static fn (ShimMove $move): array => [
                'id' => (string) $move->event?->id, 'row' => $move->event?->row, 'pairs' => $move->pairs, 'before_mm' => round($move->before, 3), 'after_mm' => round($move->after, 3), 'happened_at' => $move->event?->at->toIso(),
            ], $contact['odd']),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Parts\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

#[OA\Schema(schema: 'RemovalReason', type: 'string', enum: RemovalReason::class)]
#[OA\Schema(schema: 'LedgerEntry', description: 'Something that was done to the parts of one row', required: ['id', 'kind', 'happened_at'], properties: [
    new OA\Property(property: 'id', description: 'Made on the device, UUIDv7', type: 'string', format: 'uuid'),
    new OA\Property(property: 'kind', type: 'string', enum: ['fitted', 'removed', 'shims_moved', 'withdrawn']),
    new OA\Property(property: 'happened_at', description: 'Not in the future', type: 'string', format: 'date-time'),
    new OA\Property(property: 'row', type: 'integer', maximum: 48, minimum: 1),
    new OA\Property(property: 'slot', ref: '#/components/schemas/Slot'),
    new OA\Property(property: 'side', ref: '#/components/schemas/Side'),
    new OA\Property(property: 'part_type_id', description: 'Of a fitted part; left out where nobody knows', type: 'integer', nullable: true),
    new OA\Property(property: 'part_id', description: 'A part that was fitted on this planter before: its use and wear come along', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'used', description: 'Fitted used, from elsewhere', type: 'boolean'),
    new OA\Property(property: 'size', description: 'As measured when fitted; by default a new part\'s own', type: 'string', nullable: true),
    new OA\Property(property: 'ran_before', description: 'Furrow distance that a used part had run, as typed', type: 'string', nullable: true),
    new OA\Property(property: 'fitting_id', description: 'What is removed', type: 'string', format: 'uuid', nullable: true),
    new OA\Property(property: 'reason', description: 'Why the part came out: the one that is removed, or the one that was in the slot', ref: '#/components/schemas/RemovalReason'),
    new OA\Property(property: 'shims', description: 'Inner shims in the pack that was in', type: 'integer', maximum: 20, minimum: 0, nullable: true),
    new OA\Property(property: 'pairs', description: 'Shims added on each side; negative for taken out', type: 'integer', maximum: 10, minimum: -10, nullable: true),
    new OA\Property(property: 'contact_before', description: 'Contact length before shims were moved, as typed', type: 'string', nullable: true),
    new OA\Property(property: 'cost', type: 'number', maximum: 100000, minimum: 0, nullable: true),
    new OA\Property(property: 'note', type: 'string', maxLength: 1000),
    new OA\Property(property: 'supersedes', description: 'The event whose place this one takes', type: 'string', format: 'uuid', nullable: true),
])]
final class LedgerRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'events' => ['required', 'array', 'min:1', 'max:1000'],
            'events.*.id' => ['required', 'uuid', 'distinct:ignore_case'],
            'events.*.kind' => ['required', Rule::in(['fitted', 'removed', 'shims_moved', 'withdrawn'])],
            'events.*.happened_at' => ['required', 'date', 'after:1950-01-01', 'before:tomorrow'],
            'events.*.row' => ['required_if:events.*.kind,fitted,shims_moved', 'integer', 'between:1,48'],
            'events.*.slot' => ['required_if:events.*.kind,fitted', Rule::enum(Slot::class)],
            'events.*.side' => ['required_if:events.*.kind,fitted', Rule::enum(Side::class)],
            'events.*.part_type_id' => ['nullable', 'integer'],
            'events.*.part_id' => ['nullable', 'uuid'],
            'events.*.used' => ['boolean'],
            'events.*.size' => ['nullable', 'string', 'max:40'],
            'events.*.ran_before' => ['nullable', 'string', 'max:40'],
            'events.*.fitting_id' => ['required_if:events.*.kind,removed', 'nullable', 'uuid'],
            'events.*.reason' => ['nullable', Rule::enum(RemovalReason::class)],
            'events.*.shims' => ['nullable', 'integer', 'between:0,20'],
            'events.*.pairs' => ['required_if:events.*.kind,shims_moved', 'nullable', 'integer', 'between:-10,10', 'not_in:0'],
            'events.*.contact_before' => ['nullable', 'string', 'max:40'],
            'events.*.cost' => ['nullable', 'numeric', 'between:0,100000'],
            'events.*.note' => ['nullable', 'string', 'max:1000'],
            'events.*.supersedes' => ['required_if:events.*.kind,withdrawn', 'nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'events.*' => __('ledger.events'),
            'events.*.id.*' => __('refused.no_id'),
            'events.*.happened_at.*' => __('ledger.date'),
            'events.*.row.*' => __('ledger.row'),
            'events.*.slot.*' => __('ledger.slot'),
            'events.*.side.*' => __('ledger.side'),
            'events.*.pairs.*' => __('ledger.pairs'),
            'events.*.shims.*' => __('ledger.shims'),
            'events.*.cost.*' => __('ledger.cost'),
            'events.*.note.*' => __('refused.note_length'),
            'events.*.*.*' => __('ledger.field'),
        ];
    }

    /** @return list<array<string, mixed>> */
    public function events(): array
    {
        return array_values($this->validated('events'));
    }
}

<?php

declare(strict_types=1);

namespace App\Record\Import\Http;

use App\Record\Import\ImportKind;
use App\Record\Import\ImportMode;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ImportMapping', required: ['columns', 'dates'], properties: [
    new OA\Property(property: 'columns', description: 'By field, the number of its column from 0', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer')),
    new OA\Property(property: 'dates', description: 'What 3/4/2025 means', type: 'string', enum: ['auto', 'dmy', 'mdy']),
])]
#[OA\Schema(schema: 'ImportEdit', required: ['file', 'kind', 'mode'], properties: [
    new OA\Property(property: 'file', type: 'string', format: 'binary'),
    new OA\Property(property: 'kind', ref: '#/components/schemas/ImportKind'),
    new OA\Property(property: 'mode', ref: '#/components/schemas/ImportMode'),
    new OA\Property(property: 'mapping', description: 'ImportMapping as JSON; guessed from the names of the columns where it is left out', type: 'string'),
    new OA\Property(property: 'leave_out', description: 'Numbers of lines that are not wanted, as a JSON list', type: 'string'),
])]
final class ImportRequest extends FormRequest
{
    private const LARGEST_KILOBYTES = 15_000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.self::LARGEST_KILOBYTES],
            'kind' => ['required', Rule::enum(ImportKind::class)],
            'mode' => ['required', Rule::enum(ImportMode::class)],
            'mapping' => ['nullable', 'json'],
            'leave_out' => ['nullable', 'json'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.*' => __('import.file'), '*.*' => __('import.choice')];
    }

    public function kind(): ImportKind
    {
        return ImportKind::from($this->string('kind')->toString());
    }

    public function mode(): ImportMode
    {
        return ImportMode::from($this->string('mode')->toString());
    }

    /** @return array<mixed>|null */
    public function mapping(): ?array
    {
        $mapping = json_decode($this->string('mapping')->toString(), true);

        return is_array($mapping) ? $mapping : null;
    }

    /** @return list<int> */
    public function leaveOut(): array
    {
        $lines = json_decode($this->string('leave_out')->toString(), true);

        return is_array($lines) ? array_values(array_filter($lines, is_int(...))) : [];
    }
}

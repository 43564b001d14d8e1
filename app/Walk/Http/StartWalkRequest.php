<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Walk\WalkStart;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

final class StartWalkRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['sometimes', 'uuid'],
            'kind' => ['required', Rule::enum(WalkKind::class)],
            'order' => ['required', Rule::enum(WalkOrder::class)],
            'checks' => ['sometimes', 'array'],
            'cautions_acknowledged' => ['accepted'],
            'started_at' => ['sometimes', 'date', 'after:2000-01-01', 'before:tomorrow'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cautions_acknowledged.*' => __('error.cautions'),
            'started_at.*' => __('refused.no_time'),
        ];
    }

    public function start(): WalkStart
    {
        return new WalkStart(
            $this->string('id', (string) Str::uuid7())->lower()->toString(),
            WalkKind::from($this->string('kind')->toString()),
            WalkOrder::from($this->string('order')->toString()),
            $this->has('checks') ? $this->array('checks') : null,
            $this->has('started_at') ? CarbonImmutable::parse($this->string('started_at')->toString()) : CarbonImmutable::now(),
        );
    }
}

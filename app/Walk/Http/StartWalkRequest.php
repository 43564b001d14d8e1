<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Walk\WalkStart;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Measure\UnreadableTime;
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
            'checks' => ['sometimes', 'list'],
            'pack' => ['nullable', 'string', 'max:60'],
            'cautions_acknowledged' => ['boolean:strict', 'accepted'],
            'started_at' => ['bail', 'sometimes', 'string', $this->momentRule(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cautions_acknowledged.*' => __('error.cautions'),
            'started_at.string' => __('refused.no_time'),
            'pack.*' => __('pack.name'),
            'id.*' => __('refused.no_id'),
        ];
    }

    public function start(): WalkStart
    {
        return new WalkStart(
            $this->string('id', (string) Str::uuid7())->lower()->toString(),
            WalkKind::from($this->string('kind')->toString()),
            WalkOrder::from($this->string('order')->toString()),
            $this->has('checks') ? $this->array('checks') : null,
            $this->has('started_at') ? CarbonImmutable::createFromTimestampMs(Moment::of($this->string('started_at')->toString())->milliseconds) : CarbonImmutable::now(),
            $this->filled('pack') ? trim($this->string('pack')->toString()) : null,
        );
    }

    private function momentRule(string $field, mixed $value, Closure $fail): void
    {
        try {
            $isAhead = Moment::of((string) $value)->milliseconds > CarbonImmutable::now()->addDay()->getTimestampMs();
        } catch (UnreadableTime) {
            $fail(__('refused.no_time'));

            return;
        }
        if ($isAhead) {
            $fail(__('refused.in_the_future', ['time' => substr((string) $value, 0, 10)]));
        }
    }
}

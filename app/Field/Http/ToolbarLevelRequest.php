<?php

declare(strict_types=1);

namespace App\Field\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Field\PointsTooClose;
use Ustrel\Core\Field\ToolbarLevel;
use Ustrel\Core\Measure\Amount;
use Ustrel\Core\Measure\Length;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Measure\UnitSystem;
use Ustrel\Core\Measure\Unreadable;
use Ustrel\Core\Measure\UnreadableNumber;

final class ToolbarLevelRequest extends FormRequest
{
    /** A frame and its tongue are longer than anything on a row unit. */
    private const LONGEST_INCHES = 600;

    private const LENGTHS = ['front', 'rear', 'span', 'hitch'];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return array_fill_keys([...self::LENGTHS, 'pitch'], ['nullable', 'string', 'max:40']);
    }

    /**
     * @param  float  $low  degrees
     * @param  float  $high  degrees
     *
     * @throws ValidationException naming the figure that is missing or cannot be
     */
    public function level(float $low, float $high): ToolbarLevel
    {
        $hitch = $this->filled('hitch') ? $this->length('hitch') : null;
        if ($this->filled('pitch')) {
            return ToolbarLevel::of($this->pitch(), $hitch, $low, $high);
        }

        try {
            return ToolbarLevel::fromHeights($this->length('front'), $this->length('rear'), $this->length('span'), $hitch, $low, $high);
        } catch (PointsTooClose) {
            throw ValidationException::withMessages(['span' => __('level.span_too_short')]);
        }
    }

    private function length(string $field): Length
    {
        try {
            return Length::read($this->string($field)->toString(), $this->system(), self::LONGEST_INCHES * Length::NANOMETRES_PER_INCH);
        } catch (UnreadableNumber $unreadable) {
            throw $this->refusal($field, $unreadable);
        }
    }

    private function pitch(): float
    {
        try {
            return Amount::read($this->string('pitch')->toString(), Unit::Degree, $this->system())->steps() / Amount::STEPS_PER_UNIT;
        } catch (UnreadableNumber $unreadable) {
            throw $this->refusal('pitch', $unreadable);
        }
    }

    private function refusal(string $field, Unreadable $unreadable): ValidationException
    {
        return ValidationException::withMessages([$field => __($unreadable->wordKey(), $unreadable->fill())]);
    }

    private function system(): UnitSystem
    {
        return $this->user()->units ?? UnitSystem::Inch;
    }
}

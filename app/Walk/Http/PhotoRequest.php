<?php

declare(strict_types=1);

namespace App\Walk\Http;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class PhotoRequest extends FormRequest
{
    private const LARGEST_KILOBYTES = 15 * 1024;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'row' => ['required', 'integer'],
            'photo' => ['required', 'file', 'max:'.self::LARGEST_KILOBYTES],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'id.*' => __('refused.no_id'),
            'row.*' => __('photo.no_row'),
            'photo.required' => __('photo.missing'),
            'photo.*' => __('photo.too_large'),
        ];
    }

    public function id(): string
    {
        return $this->string('id')->lower()->toString();
    }

    /** @return array<string, mixed> a form's fields are text; the row is a number again */
    public function place(): array
    {
        return ['row' => $this->integer('row')] + $this->only(['check', 'side', 'taken_at']);
    }

    public function picture(): UploadedFile
    {
        /** @var UploadedFile validated */
        return $this->file('photo');
    }
}

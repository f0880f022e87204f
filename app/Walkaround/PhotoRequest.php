<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Disk;
use App\Contract\Refusal;
use Illuminate\Foundation\Http\FormRequest;

/** A picture of what was said. */
final class PhotoRequest extends FormRequest
{
    /** @throws Refusal if there is no room: before it is looked at */
    protected function prepareForValidation(): void
    {
        if (Disk::takesNoPhotos()) {
            throw KeepPhoto::noRoom();
        }
    }

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'uuid'],
            'act' => ['required', 'uuid'],
            'photo' => ['required', 'file', 'max:'.KeepPhoto::MOST_KILOBYTES],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'photo.required' => 'The picture is missing, or larger than is taken here.',
            'photo.file' => 'The picture did not arrive whole.',
            'photo.max' => 'A picture has at most '.(KeepPhoto::MOST_KILOBYTES / 1024).' MB.',
        ];
    }
}

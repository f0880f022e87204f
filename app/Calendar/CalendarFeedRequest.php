<?php

declare(strict_types=1);

namespace App\Calendar;

use Illuminate\Foundation\Http\FormRequest;

/** A calendar address that somebody opens. */
final class CalendarFeedRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'whole_yard' => ['required', 'boolean'],
            'remind_days' => ['required', 'integer', 'between:0,60'],
        ];
    }
}

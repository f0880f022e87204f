<?php

declare(strict_types=1);

return [
    'required' => 'This is missing.',
    'present' => 'This is missing.',
    'required_without' => 'This is missing.',
    'required_with' => 'This is missing.',
    'list' => 'This is a list.',
    'uuid' => 'This is no id.',
    'date' => 'A moment is written like 2026-05-14T09:30:00Z.',
    'gt' => ['numeric' => 'More than :value.'],
    'prohibited' => 'This machine has no such meter.',
    'string' => 'This is written in words.',
    'integer' => 'This is a whole number.',
    'one_line' => 'There is something in this that nobody can see. Write it by hand, on one line.',
    'numeric' => 'This is a number.',
    'boolean' => 'This is yes or no.',
    'array' => 'This is a list.',
    'in' => 'That is not one of the choices.',
    'enum' => 'That is not one of the choices.',
    'unique' => 'That name is taken.',
    'exists' => 'There is no such thing in this yard.',
    'distinct' => 'The same one is given twice.',
    'regex' => 'Only letters, digits, dots and dashes.',
    'timezone' => 'That is not a time zone known here.',
    'current_password' => 'That is not your present password.',
    'max' => ['string' => 'At most :max characters.', 'array' => 'At most :max.', 'numeric' => 'At most :max.'],
    'min' => ['string' => 'At least :min characters.', 'array' => 'At least :min.', 'numeric' => 'At least :min.'],
    'between' => ['numeric' => 'From :min to :max.', 'integer' => 'From :min to :max.'],
];

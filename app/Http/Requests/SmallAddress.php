<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Takes an address however it was written: they are kept in small letters. */
trait SmallAddress
{
    protected function prepareForValidation(): void
    {
        if (is_string($this->input('email'))) {
            $this->merge(['email' => mb_strtolower(trim($this->input('email')))]);
        }
    }
}

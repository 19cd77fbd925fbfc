<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Asks what others see: from where, when and at what. */
final class LookRequest extends FormRequest
{
    use ReadsLook;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }
}

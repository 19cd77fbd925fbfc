<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sightlines\Why\MakeMends;
use App\Sightlines\Why\Mend;
use App\Sightlines\Why\MendKind;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What the reasons of a cell proposed, to be made in the draft in one edit. */
final class MendRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:0'],
            'mends' => ['required', 'array', 'min:1', 'max:30'],
            'mends.*.kind' => ['required', Rule::enum(MendKind::class)],
            'mends.*.items' => ['present', 'array', 'max:100'],
            'mends.*.items.*' => ['string'],
            'mends.*.plan' => ['nullable', 'string'],
            'mends.*.tier' => ['nullable', 'string'],
        ];
    }

    public function edit(): MakeMends
    {
        $mends = [];
        foreach ((array) $this->input('mends') as $one) {
            if (is_array($one) && is_string($one['kind'] ?? null)) {
                $text = static fn (string $key): ?string => is_string($one[$key] ?? null) ? $one[$key] : null;
                $mends[] = new Mend(MendKind::from($one['kind']), array_values(array_filter((array) ($one['items'] ?? []), is_string(...))), $text('plan'), $text('tier'));
            }
        }

        return new MakeMends($mends);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sightlines\Why\ApplyFixes;
use App\Sightlines\Why\Fix;
use App\Sightlines\Why\FixKind;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What the reasons of a cell proposed, to be made in the draft in one edit. */
final class FixRequest extends FormRequest
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
            'fixes' => ['required', 'array', 'min:1', 'max:30'],
            'fixes.*.kind' => ['required', Rule::enum(FixKind::class)],
            'fixes.*.items' => ['present', 'array', 'max:100'],
            'fixes.*.items.*' => ['string'],
            'fixes.*.plan' => ['nullable', 'string'],
            'fixes.*.tier' => ['nullable', 'string'],
        ];
    }

    public function edit(): ApplyFixes
    {
        $fixes = [];
        foreach ((array) $this->input('fixes') as $one) {
            if (is_array($one) && is_string($one['kind'] ?? null)) {
                $text = static fn (string $key): ?string => is_string($one[$key] ?? null) ? $one[$key] : null;
                $fixes[] = new Fix(FixKind::from($one['kind']), array_values(array_filter((array) ($one['items'] ?? []), is_string(...))), $text('plan'), $text('tier'));
            }
        }

        return new ApplyFixes($fixes);
    }
}

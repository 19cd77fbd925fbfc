<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** The view of a course that an address names. What makes no sense in it falls back to the usual. */
final class WorkspaceRequest extends FormRequest
{
    use ReadsLook;

    public const LENSES = ['rules', 'sightlines', 'timeline', 'notices'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    public function lens(): string
    {
        $lens = $this->query('lens');

        return is_string($lens) && in_array($lens, self::LENSES, true) ? $lens : self::LENSES[0];
    }

    public function plan(): ?string
    {
        $plan = $this->query('plan');

        return is_string($plan) ? $plan : null;
    }

    public function mayEdit(): bool
    {
        return Gate::allows('edit-rules');
    }
}

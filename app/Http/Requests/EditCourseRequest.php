<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Edits\SetCourse;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** The form of the course itself: its state, its season and its doors, all together. */
final class EditCourseRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $yes = ['required', 'boolean'];

        return [
            'version' => ['required', 'integer', 'min:0'],
            'title' => ['required', 'string', 'max:255'],
            'state' => ['required', Rule::in(['draft', 'live', 'retired'])],
            'entry' => ['required', Rule::in(['anyone', 'signup', 'offer', 'invite'])],
            'opens' => ['bail', 'nullable', 'string', 'date_format:Y-m-d\TH:i'],
            'closes' => ['bail', 'nullable', 'string', 'date_format:Y-m-d\TH:i', ...(is_string($this->input('opens')) ? ['after:opens'] : [])],
            'keepAfterRetiring' => $yes, 'sampleNeedsAccount' => $yes, 'inOrder' => $yes,
            'guestsOpen' => $yes, 'guestsDefault' => $yes, 'observersOpen' => $yes, 'observersDefault' => $yes, 'observersFollow' => $yes,
            'tiers' => ['nullable', 'string', 'max:1000'],
            'guestPhrase' => ['nullable', 'string', 'min:6', 'max:100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => Say::text('refused.edit_course_request.course_needs_title'),
            'opens.date_format' => Say::text('refused.not_date_and_time'),
            'closes.date_format' => Say::text('refused.not_date_and_time'),
            'guestPhrase.min' => Say::text('refused.edit_course_request.please_take_at_least'),
            'closes.after' => Say::text('refused.edit_course_request.season_must_end_after'),
        ];
    }

    public function edit(): SetCourse
    {
        $local = fn (string $key): ?string => $this->filled($key) ? $this->string($key)->toString() : null;

        return new SetCourse([
            'title' => $this->string('title')->trim()->toString(),
            'state' => $this->string('state')->toString(),
            'entry' => $this->string('entry')->toString(),
            'opens' => $local('opens'),
            'closes' => $local('closes'),
            'keep_after_retiring' => $this->boolean('keepAfterRetiring'),
            'sample_needs_account' => $this->boolean('sampleNeedsAccount'),
            'in_order' => $this->boolean('inOrder'),
            'guest_door' => (object) ['open' => $this->boolean('guestsOpen'), 'default' => $this->boolean('guestsDefault')],
            'observer_door' => (object) ['open' => $this->boolean('observersOpen'), 'default' => $this->boolean('observersDefault'), 'follow' => $this->boolean('observersFollow')],
            'tiers' => $this->tiers(),
        ], $local('guestPhrase'));
    }

    /** @return list<string> */
    private function tiers(): array
    {
        $tiers = array_map(trim(...), explode(',', $this->string('tiers')->toString()));

        return array_values(array_unique(array_filter($tiers, static fn (string $tier): bool => $tier !== '')));
    }
}

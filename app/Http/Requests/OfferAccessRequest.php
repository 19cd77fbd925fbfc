<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Edits\SetOffer;
use App\Models\Document\DocumentLasts;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What passes of an offer open: it goes through the course's draft. With the selling side, where the offer is new. */
final class OfferAccessRequest extends FormRequest
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
            'offer' => ['nullable', 'string'],
            'tier' => ['nullable', 'string'],
            'plan' => ['nullable', 'string'],
            'scope' => ['nullable', 'array', 'max:500'],
            'scope.*' => ['string'],
            'labels' => ['nullable', 'string', 'max:500'],
            'lasts' => ['required', Rule::in(['good', 'days', 'until'])],
            'days' => ['nullable', 'required_if:lasts,days', 'integer', 'between:1,36500'],
            'until' => ['nullable', 'required_if:lasts,until', 'date_format:Y-m-d\TH:i'],
            ...($this->filled('offer') ? [] : OfferRequest::sellingRules()),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'days.required_if' => Say::text('refused.offer_access_request.please_say_for_how'),
            'until.required_if' => Say::text('refused.offer_access_request.please_say_until_when'),
            'until.date_format' => Say::text('refused.not_date_and_time'),
            ...OfferRequest::sellingMessages(),
        ];
    }

    public function edit(string $key, string $title): SetOffer
    {
        $text = fn (string $field): ?string => $this->filled($field) ? $this->string($field)->toString() : null;
        $scope = array_values(array_filter((array) $this->input('scope'), is_string(...)));

        return new SetOffer($key, $title, $text('tier'), $text('plan'), $scope === [] ? null : $scope, match ($this->input('lasts')) {
            'days' => DocumentLasts::from(['days' => $this->integer('days')]),
            'until' => DocumentLasts::from(['until' => $this->string('until')->toString()]),
            default => null,
        }, self::labels($this->string('labels')->toString()));
    }

    /** @return list<string> each once */
    private static function labels(string $divided): array
    {
        return array_values(array_unique(array_filter(array_map(trim(...), explode(',', $divided)), static fn (string $label): bool => $label !== '')));
    }
}

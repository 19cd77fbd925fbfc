<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\PaidEvery;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Several offers at one price. */
final class BundleRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'sale' => ['required', Rule::in(['none', 'free', 'price'])],
            'price' => ['nullable', 'required_if:sale,price', 'numeric', 'min:0.01', 'max:1000000'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/'],
            'every' => ['nullable', Rule::enum(PaidEvery::class)],
            'offers' => ['required', 'array', 'min:2', 'max:50'],
            'offers.*' => ['string', 'distinct', Rule::exists('offers', 'key')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => Say::text('refused.bundle_request.bundle_needs_name'), 'offers.required' => Say::text('refused.bundle_request.please_choose_at_least'), 'offers.min' => Say::text('refused.bundle_request.please_choose_at_least'), 'offers.*.exists' => Say::text('refused.bundle_request.one_these_offers_not'), ...OfferRequest::sellingMessages()];
    }

    /** @return array{name: string, price: ?int, currency: string, every: ?PaidEvery} columns of the bundle */
    public function columns(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(),
            'price' => match ($this->input('sale')) {
                'price' => (int) round($this->float('price') * 100),
                'free' => 0,
                default => null,
            },
            'currency' => $this->string('currency')->toString(),
            'every' => $this->enum('every', PaidEvery::class),
        ];
    }

    /** @return list<string> keys */
    public function offers(): array
    {
        return array_values(array_filter((array) $this->input('offers'), is_string(...)));
    }
}

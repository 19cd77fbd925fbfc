<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\Models\PaidEvery;
use App\Models\TakenAgain;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** The selling side of an offer: it changes at once. */
final class OfferRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return self::sellingRules();
    }

    /** @return array<string, list<mixed>> */
    public static function sellingRules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'sale' => ['required', Rule::in(['none', 'free', 'price'])],
            'price' => ['nullable', 'required_if:sale,price', 'numeric', 'min:0.01', 'max:1000000'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/'],
            'trial' => ['required', 'boolean'],
            'erases' => ['required', 'boolean'],
            'again' => ['nullable', Rule::enum(TakenAgain::class)],
            'notAfter' => ['nullable', 'array', 'max:100'],
            'notAfter.*' => ['string', Rule::exists('offers', 'key')],
            'notAfterCourse' => ['nullable', 'boolean'],
            'onlyLabel' => ['nullable', 'string', 'max:60', 'regex:/^[^,]+$/u'],
            'most' => ['nullable', 'integer', 'between:1,1000000'],
            'soldFrom' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'soldUntil' => ['nullable', 'date_format:Y-m-d\TH:i', 'after:soldFrom'],
            'every' => ['nullable', Rule::enum(PaidEvery::class)],
            'upgradePrice' => ['nullable', 'numeric', 'min:0', 'max:1000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::sellingMessages();
    }

    /** @return array<string, string> */
    public static function sellingMessages(): array
    {
        return [
            'name.required' => Say::text('refused.offer_request.offer_needs_name'),
            'price.required_if' => Say::text('refused.offer_request.please_say_what_costs'),
            'price.min' => Say::text('refused.offer_request.what_costs_nothing_free'),
            'onlyLabel.regex' => Say::text('refused.offer_request.label_has_no_comma'),
            'most.between' => Say::text('refused.offer_request.one_place_at_least'),
            'most.integer' => Say::text('refused.offer_request.whole_number_people'),
            'soldFrom.date_format' => Say::text('refused.not_date_and_time'),
            'soldUntil.date_format' => Say::text('refused.not_date_and_time'),
            'soldUntil.after' => Say::text('refused.offer_request.would_end_before_began'),
            'upgradePrice.min' => Say::text('refused.offer_request.what_costs_nothing_0'),
            'currency.regex' => Say::text('refused.offer_request.three_capital_letters_such'),
        ];
    }

    /**
     * What is left out keeps what it was.
     *
     * @return array{name: string, ...} columns of the offer
     */
    public static function selling(FormRequest $request, SchoolClock $clock): array
    {
        $instant = static fn (string $field): ?int => $request->filled($field) ? $clock->instant($request->string($field)->toString()) : null;

        return [
            'name' => $request->string('name')->trim()->toString(),
            'price' => match ($request->input('sale')) {
                'price' => (int) round($request->float('price') * 100),
                'free' => 0,
                default => null,
            },
            'currency' => $request->string('currency')->toString(),
            'trial' => $request->boolean('trial'),
            'erases' => $request->boolean('erases'),
            ...($request->has('again') ? [
                'again' => $request->enum('again', TakenAgain::class) ?? TakenAgain::Renewal,
                'not_after' => array_values(array_filter((array) $request->input('notAfter'), is_string(...))),
                'not_after_course' => $request->boolean('notAfterCourse'),
                'only_label' => $request->filled('onlyLabel') ? $request->string('onlyLabel')->trim()->toString() : null,
                'most' => $request->filled('most') ? $request->integer('most') : null,
                'sold_from' => $instant('soldFrom'),
                'sold_until' => $instant('soldUntil'),
                'every' => $request->input('sale') === 'price' ? $request->enum('every', PaidEvery::class) : null,
                'upgrade_price' => $request->filled('upgradePrice') ? (int) round($request->float('upgradePrice') * 100) : null,
            ] : []),
        ];
    }
}

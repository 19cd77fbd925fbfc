<?php

declare(strict_types=1);

namespace App\Http\Requests;

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
            'name.required' => 'An offer needs a name.',
            'price.required_if' => 'Please say what it costs.',
            'price.min' => 'What costs nothing is free.',
            'currency.regex' => 'Three capital letters, such as EUR.',
        ];
    }

    /** @return array{name: string, price: ?int, currency: string, trial: bool, erases: bool} */
    public static function selling(FormRequest $request): array
    {
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
        ];
    }
}

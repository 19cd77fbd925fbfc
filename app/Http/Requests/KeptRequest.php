<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\School\Keeping\KeptDays;
use App\School\Keeping\KeptKind;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** For how many days the school keeps what. */
final class KeptRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = ['days' => ['required', 'array'], 'from' => ['required', 'array']];
        foreach (KeptKind::cases() as $kind) {
            $rules["days.{$kind->value}"] = [$kind->mayStayForGood() ? 'nullable' : 'required', 'integer', "min:{$kind->least()}", 'max:'.KeptDays::MOST];
            $rules["from.{$kind->value}"] = ['nullable', 'integer'];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = [];
        foreach (KeptKind::cases() as $kind) {
            foreach (['required', 'integer', 'min', 'max'] as $rule) {
                $messages["days.{$kind->value}.{$rule}"] = Say::text('privacy_told.kept.days', ['least' => $kind->least(), 'most' => KeptDays::MOST]);
            }
        }

        return $messages;
    }

    /**
     * @param  'days'|'from'  $of
     * @return array<string, ?int>
     */
    public function kept(string $of): array
    {
        $kept = [];
        foreach (KeptKind::cases() as $kind) {
            $days = $this->input("{$of}.{$kind->value}");
            $kept[$kind->value] = is_numeric($days) ? (int) $days : null;
        }

        return $kept;
    }
}

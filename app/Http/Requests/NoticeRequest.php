<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\Models\Course;
use App\Notices\Circles;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\Parts\Part;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class NoticeRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    public function case(): NoticeCase
    {
        $case = $this->route('case');

        return NoticeCase::tryFrom(is_string($case) ? $case : '') ?? abort(404);
    }

    public function place(): NoticePlace
    {
        $course = $this->route('course');

        return $course instanceof Course ? NoticePlaces::of($this, $course) : NoticePlace::school();
    }

    /** @return list<\Closure(\Illuminate\Validation\Validator): void> */
    public function after(Circles $circles, SchoolClock $clock): array
    {
        return [function ($validator) use ($circles, $clock): void {
            $address = $this->input('address');
            if ($this->input('way') === 'address' && is_string($address) && $validator->errors()->isEmpty() && $circles->leadBack($this->place(), $this->case(), $address, $clock->now())) {
                $validator->errors()->add('address', Say::text('refused.notice_request.in_a_circle'));
            }
        }];
    }

    /** Our own pages are kept by their path alone. */
    protected function prepareForValidation(): void
    {
        $address = $this->input('address');
        $ours = $this->getSchemeAndHttpHost();
        if (is_string($address) && str_starts_with($address, "{$ours}/")) {
            $this->merge(['address' => substr($address, strlen($ours))]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'way' => ['required', Rule::in(['show', 'shared', 'address', ...($this->case()->canSendToSignIn() ? ['sign-in'] : [])])],
            'shared' => ['nullable', 'required_if:way,shared', 'integer', Rule::exists('shared_notices', 'id')->whereNotNull('live')],
            'address' => ['nullable', 'required_if:way,address', 'string', 'max:500', 'regex:~'.NoticeWordRules::ADDRESS.'~i'],
            ...NoticeWordRules::of(fn (): bool => $this->place()->course !== null),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...NoticeWordRules::messages(),
            'way.in' => Say::text('refused.notice_request.whoever_meets_signed_in'),
            'shared.*' => Say::text('refused.notice_request.choose_shared'),
            'address.required_if' => Say::text('refused.notice_request.please_type_the_address'),
            'address.regex' => Say::text('refused.notice_request.address_site_that_begins'),
        ];
    }

    /** @return array{way: string, heading: string, text: string, titled: bool, address: ?string, shared_id: ?int, parts: ?string} */
    public function words(): array
    {
        return [
            'way' => $this->string('way')->toString(),
            'heading' => $this->string('heading')->trim()->toString(),
            'text' => $this->string('text')->trim()->toString(),
            'titled' => $this->boolean('titled', true),
            'shared_id' => $this->string('way')->toString() === 'shared' ? $this->integer('shared') : null,
            'address' => $this->string('way')->toString() === 'address' ? $this->string('address')->toString() : null,
            'parts' => is_array($this->input('parts')) ? Part::toJson(NoticeParts::of($this)) : null,
        ];
    }
}

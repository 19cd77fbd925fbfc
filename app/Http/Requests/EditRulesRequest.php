<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Edits\Edit;
use App\Drafts\Edits\Together;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Validator as Validators;
use Illuminate\Support\ValidatedInput;
use Illuminate\Validation\Validator;

/** One rule, set for one row or for many at once; or several of them (`sets`), each as it would be sent alone, in one edit. */
final class EditRulesRequest extends FormRequest
{
    use ReadsLook;

    /** So many different rules go into one edit: every cell of a wide selection can have its own. */
    private const MOST = 4000;

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0']] + ($this->areSeveral()
            ? ['sets' => ['required', 'array', 'min:1', 'max:'.self::MOST], 'sets.*' => ['array']]
            : $this->one()->rules());
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            foreach ($this->areSeveral() ? [] : $this->one()->lacks() as $at => $message) {
                $validator->errors()->add($at, $message);
            }
            foreach ($validator->errors()->isEmpty() ? $this->several() : [] as $set) {
                $inner = Validators::make($set->all(), $set->rules(), $set->messages());
                // There is no form with fields to say it at: the first says what is wrong.
                $wrong = $inner->errors()->first() ?: (array_values($set->lacks())[0] ?? '');
                if ($wrong !== '') {
                    $validator->errors()->add('rule', $wrong);

                    return;
                }
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['sets.max' => Say::text('refused.edit_rules_request.that_more_rows_than')] + $this->one()->messages();
    }

    public function edit(): Edit
    {
        return $this->areSeveral() ? new Together(array_map(static fn (RuleInput $set): Edit => $set->edit(), $this->several())) : $this->one()->edit();
    }

    /** @return list<string> keys of the rows that are set */
    public function items(): array
    {
        return $this->one()->items();
    }

    private function areSeveral(): bool
    {
        return $this->has('sets');
    }

    private function one(): RuleInput
    {
        return new RuleInput(new ValidatedInput($this->all()));
    }

    /** @return list<RuleInput> */
    private function several(): array
    {
        $sets = [];
        foreach ((array) $this->input('sets') as $one) {
            if (is_array($one)) {
                $sets[] = new RuleInput(new ValidatedInput($one));
            }
        }

        return $sets;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\Shelf\CourseShelf;
use App\Learning\Quizzes\QuizRules;
use App\Models\Content;
use App\Models\Form;
use App\Models\Offer;
use App\Models\OutsideSystem;
use App\Models\Trigger;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What is to be done by itself when something comes about. Only what its kinds take is kept of a form. */
final class TriggerRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $trigger = $this->route('trigger');
        $tries = $this->routeIs('keep.triggers.try');

        return [
            'version' => ['nullable', 'integer'],
            'name' => [$tries ? 'nullable' : 'required', 'string', 'max:100', ...($tries ? [] : [Rule::unique('triggers', 'name')->ignore($trigger instanceof Trigger ? $trigger->id : null)])],
            'when.event' => ['required', 'string', Rule::enum(EventKind::class)],
            'when.*' => ['nullable'],
            'when.days' => ['nullable', 'integer', 'between:1,365'],
            'when.form' => ['nullable', 'integer'],
            'when.system' => ['nullable', 'integer'],
            'when.type' => ['nullable', 'string', 'max:200'],
            'when.band' => ['nullable', 'string', 'max:60'],
            'when.from' => ['nullable', 'integer', 'between:0,100'],
            'when.to' => ['nullable', 'integer', 'between:1,101'],
            'only.row' => ['nullable', 'string', Rule::in(Only::ROWS)],
            'only.*' => ['nullable', 'string', 'max:200'],
            'steps' => ['required', 'array', 'list', 'between:1,10'],
            'steps.*.do' => ['required', 'string', Rule::enum(StepKind::class)],
            'steps.*.days' => ['nullable', 'integer', 'between:1,3650'],
            'steps.*.outside' => ['nullable', 'integer'],
            'steps.*.subject' => ['nullable', 'string', 'max:200'],
            'steps.*.body' => ['nullable', 'string', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('refused.trigger_request.needs_name'),
            'name.unique' => Say::text('refused.trigger_request.name_taken'),
            'steps.required' => Say::text('refused.trigger_request.needs_step'),
            'when.days.*' => Say::text('refused.trigger_request.between_1_and_365'),
            'steps.*.days.*' => Say::text('refused.trigger_request.between_1_and_3650'),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            foreach ($this->lacking(EventKind::from($this->string('when.event')->toString())->takes(), 'when', optional: ['offer', 'band', 'from', 'to']) as $field => $message) {
                $validator->errors()->add($field, $message);
            }
            foreach (array_keys((array) $this->input('steps')) as $index) {
                $kind = StepKind::from($this->string("steps.{$index}.do")->toString());
                foreach ($this->lacking($kind->takes(), "steps.{$index}", optional: $kind->needsDays() ? [] : ['days']) as $field => $message) {
                    $validator->errors()->add($field, $message);
                }
            }
            foreach ($this->filled('only.row') ? $this->lacking(['course', 'item'], 'only', optional: []) : [] as $field => $message) {
                $validator->errors()->add($field, $message);
            }
            if ($this->filled('only.holdsCourse') && app(CourseShelf::class)->byKey((string) $this->text('only.holdsCourse')) === null) {
                $validator->errors()->add('only.holdsCourse', Say::text('refused.trigger_request.course'));
            }
            foreach (['holds', 'notHolds'] as $field) {
                if ($this->filled("only.{$field}") && ! self::isOffer($this->input("only.{$field}"))) {
                    $validator->errors()->add("only.{$field}", Say::text('refused.trigger_request.offer'));
                }
            }
        });
    }

    /** What is typed and not whole yet is no mistake: nothing is told of it. */
    protected function failedValidation(Validator $validator): void
    {
        if ($this->routeIs('keep.triggers.try')) {
            throw new HttpResponseException(JsonResponse::fromJsonString('null'));
        }
        parent::failedValidation($validator);
    }

    public function spec(): TriggerSpec
    {
        $row = $this->text('only.row');
        $only = new Only($this->text('only.label'), $this->text('only.notLabel'), $this->text('only.holds'), $this->text('only.notHolds'), $this->text('only.holdsCourse'), $row, $row === null ? null : $this->text('only.course'), $row === null ? null : $this->text('only.item'));
        $takes = EventKind::from($this->string('when.event')->toString())->takes();
        $has = fn (string $field): ?string => in_array($field, $takes, true) ? $this->text("when.{$field}") : null;
        $counts = fn (string $field): ?int => in_array($field, $takes, true) && $this->filled("when.{$field}") ? $this->integer("when.{$field}") : null;
        $when = new When($this->string('when.event')->toString(), $has('offer'), $has('course'), $has('item'), $has('label'), $counts('days'), $counts('from'), $counts('to'), $counts('form'), $counts('system'), $has('type'), $has('band'));
        $steps = array_map($this->step(...), array_keys(array_values((array) $this->input('steps'))));

        return new TriggerSpec($when, $only, $steps === [] ? throw new \LogicException('A trigger does something.') : $steps);
    }

    private function step(int $index): Step
    {
        $takes = StepKind::from($this->string("steps.{$index}.do")->toString())->takes();
        $has = fn (string $field): ?string => in_array($field, $takes, true) ? $this->text("steps.{$index}.{$field}") : null;

        return new Step(
            $this->string("steps.{$index}.do")->toString(), $has('offer'), $has('course'), $has('item'), $has('label'),
            in_array('days', $takes, true) && $this->filled("steps.{$index}.days") ? $this->integer("steps.{$index}.days") : null, $has('subject'), $has('body'),
            in_array('outside', $takes, true) ? $this->integer("steps.{$index}.outside") : null,
        );
    }

    /**
     * What its kind takes and is not there.
     *
     * @param  list<string>  $takes
     * @param  list<string>  $optional
     * @return array<string, string> messages by field
     */
    private function lacking(array $takes, string $at, array $optional): array
    {
        $wrong = [];
        foreach ($takes as $field) {
            $value = $this->input("{$at}.{$field}");
            $isThere = is_int($value) || (is_string($value) && trim($value) !== '');
            $right = match (true) {
                ! $isThere => in_array($field, $optional, true),
                $field === 'offer' => self::isOffer($value),
                $field === 'form' => Form::query()->whereKey($value)->exists(),
                $field === 'outside' || $field === 'system' => OutsideSystem::query()->whereKey($value)->exists(),
                $field === 'course' => app(CourseShelf::class)->byKey((string) $value) !== null,
                $field === 'band' => $this->isBand((string) $value),
                $field === 'item' => $this->isRow($this->text("{$at}.course"), (string) $value),
                default => true,
            };
            if (! $right) {
                $wrong["{$at}.{$field}"] = Say::text("refused.trigger_request.{$field}");
            }
        }

        return $wrong;
    }

    private static function isOffer(mixed $key): bool
    {
        return is_string($key) && Offer::query()->where('key', $key)->exists();
    }

    /** Of the quiz that is meant, as it is now. */
    private function isBand(string $name): bool
    {
        $course = $this->text('when.course') === null ? null : app(CourseShelf::class)->byKey((string) $this->text('when.course'));
        $content = $course === null ? null : Content::query()->where('course_id', $course->id)->where('item_key', $this->text('when.item'))->first();

        return QuizRules::of($content?->quiz_rules)->reach($name) !== null;
    }

    private function isRow(?string $course, string $item): bool
    {
        $shelf = app(CourseShelf::class);
        $found = $course === null ? null : $shelf->byKey($course);

        return $found !== null && isset($shelf->document($found->id)?->readItems()[$item]);
    }

    private function text(string $field): ?string
    {
        $text = $this->input($field);

        return is_string($text) && trim($text) !== '' ? trim($text) : null;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Edits\Edit;
use App\Drafts\Edits\PasteRules;
use App\Drafts\Edits\SetAfter;
use App\Drafts\Edits\SetAudience;
use App\Drafts\Edits\SetField;
use App\Drafts\Edits\SetFinish;
use App\Drafts\Edits\SetTime;
use App\Models\Document\DocumentAfter;
use App\Models\Document\DocumentFinish;
use App\Models\Document\DocumentTime;
use App\Words\Say;
use Illuminate\Support\ValidatedInput;
use Illuminate\Validation\Rule;
use SilentKeep\Core\Rules\OpeningKind;

/** One rule as a form sends it, for one row or for many. What the rule itself allows is checked by the core; this only shapes it. */
final readonly class RuleInput
{
    /** The fields that are set to one of a few words, and what each word is in the plan format. */
    private const CHOICES = [
        'draft' => ['yes' => true, 'no' => null],
        'sample' => ['yes' => true, 'no' => null],
        'optional' => ['yes' => true, 'no' => null],
        'in_order' => ['yes' => true, 'no' => null],
        'when_closed' => ['shows' => null, 'hidden' => 'hide'],
    ];

    private const AUDIENCES = ['guests', 'observers'];

    /** What each closing takes; of openings {@see OpeningKind} says it. */
    private const CLOSINGS = ['on' => ['at'], 'after_open' => ['days']];

    /** @param  ValidatedInput  $in  its fields, checked or not */
    public function __construct(private ValidatedInput $in)
    {
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $set = $this->set();

        return [
            'set' => ['required', Rule::in(['opens', 'closes', ...array_keys(self::CHOICES), ...self::AUDIENCES, 'tiers', 'only', 'after', 'finish', 'rules'])],
            'items' => ['required', 'array', 'min:1', 'max:2000'],
            'items.*' => ['string'],
            ...match (true) {
                in_array($set, ['opens', 'closes'], true) => $this->timeRules($set),
                isset(self::CHOICES[$set]) => ['value' => ['required', Rule::in(array_keys(self::CHOICES[$set]))]],
                in_array($set, self::AUDIENCES, true) => ['value' => ['required', Rule::in(['yes', 'no', 'as above', 'never'])]],
                $set === 'rules' => ['from' => ['required', 'string']],
                $set === 'only' => ['value' => ['nullable', 'array']],
                $set === 'finish' => [
                    'by' => ['required', Rule::in(['mark', 'visit', 'watch', 'quiz'])],
                    'percent' => ['nullable', 'required_if:by,watch,quiz', 'integer', 'max:100', $this->in->input('by') === 'watch' ? 'min:1' : 'min:0'],
                ],
                $set === 'after' => [
                    'mode' => ['required', Rule::in(['all', 'any', 'at_least'])],
                    'of' => ['present', 'array', 'max:500'],
                    'of.*' => ['string'],
                    'count' => ['nullable', 'required_if:mode,at_least', 'integer', 'min:1', 'lte:'.count((array) $this->in->input('of'))],
                    'inOrder' => ['required', 'boolean'],
                ],
                default => ['value' => ['nullable', 'array'], 'value.*' => ['string']],
            },
        ];
    }

    /** @return array<string, list<mixed>> */
    private function timeRules(string $set): array
    {
        return [
            'plan' => ['required', 'string'],
            'rule' => ['nullable', Rule::in(array_keys(self::takes($set)))],
            'at' => ['nullable', 'required_if:rule,'.self::that('at', $set), 'date_format:Y-m-d\TH:i'],
            'days' => ['nullable', 'required_if:rule,'.self::that('days', $set), 'integer', 'min:0', 'max:36500'],
            'time' => ['nullable', 'date_format:H:i'],
            'weekday' => ['nullable', 'integer', 'between:1,7'],
        ];
    }

    /** @return array<array-key, mixed> */
    public function all(): array
    {
        return $this->in->all();
    }

    /** @return array<string, string> what no rule of a form can say */
    public function lacks(): array
    {
        return $this->set() === 'only' ? ConditionInput::emptyLabels(ConditionInput::read($this->in->input('value'))) : [];
    }

    private function set(): string
    {
        $set = $this->in->input('set');

        return is_string($set) ? $set : '';
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'at.required_if' => Say::text('refused.edit_rules_request.please_say_on_which'),
            'at.date_format' => Say::text('refused.not_date_and_time'),
            'days.required_if' => Say::text('refused.edit_rules_request.please_say_after_how'),
            'days.integer' => Say::text('refused.edit_rules_request.whole_days_only'),
            'days.min' => Say::text('refused.edit_rules_request.days_cannot_be_counted'),
            'days.max' => Say::text('refused.edit_rules_request.that_more_than_hundred'),
            'time.date_format' => Say::text('refused.edit_rules_request.not_time_day_such'),
            'count.required_if' => Say::text('refused.edit_rules_request.please_say_how_many'),
            'count.lte' => Say::text('refused.edit_rules_request.there_not_so_many'),
            'percent.required_if' => $this->in->input('by') === 'watch' ? Say::text('refused.edit_rules_request.please_say_how_much') : Say::text('refused.edit_rules_request.please_say_from_which'),
            'percent.integer' => Say::text('refused.edit_rules_request.whole_percents_only'),
            'percent.max' => Say::text('refused.edit_rules_request.there_no_more_than'),
            'percent.min' => $this->in->input('by') === 'watch' ? Say::text('refused.edit_rules_request.at_least_one_percent') : Say::text('refused.edit_rules_request.score_not_below_nothing'),
            'items.max' => Say::text('refused.edit_rules_request.that_more_rows_than'),
        ];
    }

    public function edit(): Edit
    {
        $set = $this->set();
        $items = $this->items();
        if ($set === 'opens' || $set === 'closes') {
            return new SetTime($set, $this->in->string('plan')->toString(), $items, $this->timeRule($set));
        }
        if ($set === 'after') {
            return new SetAfter($items, $this->prerequisites(), $this->in->boolean('inOrder'));
        }
        if ($set === 'guests' || $set === 'observers') {
            return new SetAudience($set, $items, $this->audienceValue());
        }
        if ($set === 'rules') {
            return new PasteRules($this->in->string('from')->toString(), $items);
        }
        if ($set === 'only') {
            return new SetField('only', $items, ConditionInput::read($this->in->input('value')));
        }
        if ($set === 'finish') {
            return new SetFinish($items, $this->finish());
        }
        if ($set === 'tiers') {
            $tiers = $this->in->input('value');

            return new SetField('tiers', $items, is_array($tiers) ? array_values(array_filter($tiers, is_string(...))) : null);
        }

        return new SetField($set, $items, self::CHOICES[$set][$this->in->string('value')->toString()] ?? null);
    }

    /** @return list<string> keys of the rows that are set */
    public function items(): array
    {
        return array_values(array_filter((array) $this->in->input('items'), is_string(...)));
    }

    /** @return 'yes'|'no'|'as above'|'never' */
    private function audienceValue(): string
    {
        return match ($this->in->input('value')) {
            'yes' => 'yes',
            'no' => 'no',
            'never' => 'never',
            default => 'as above',
        };
    }

    private function finish(): ?DocumentFinish
    {
        $share = fn (): float|int => $this->in->integer('percent') === 100 ? 1 : $this->in->integer('percent') / 100;

        return match ($this->in->input('by')) {
            'visit' => DocumentFinish::from(['by' => 'visit']),
            'watch' => DocumentFinish::from(['by' => 'watch', 'share' => $share()]),
            'quiz' => DocumentFinish::from(['by' => 'quiz', 'score' => $share()]),
            default => null,
        };
    }

    private function prerequisites(): ?DocumentAfter
    {
        $of = array_values(array_filter((array) $this->in->input('of'), is_string(...)));

        return match (true) {
            $of === [] => null,
            $this->in->input('mode') === 'any' => DocumentAfter::from(['any' => $of]),
            $this->in->input('mode') === 'at_least' => DocumentAfter::from(['at_least' => $this->in->integer('count'), 'of' => $of]),
            default => DocumentAfter::from(['all' => $of]),
        };
    }

    private function timeRule(string $set): ?DocumentTime
    {
        $name = $this->in->input('rule');
        if (! is_string($name)) {
            return null;
        }
        $rule = ['rule' => $name];
        foreach (self::takes($set)[$name] ?? [] as $index => $key) {
            // The first is needed, the others may be left out.
            if ($index === 0 || $this->in->filled($key)) {
                $rule[$key] = $key === 'at' || $key === 'time' ? $this->in->string($key)->toString() : $this->in->integer($key);
            }
        }

        return DocumentTime::from($rule);
    }

    /** @return array<string, list<string>> by the rule's name */
    private static function takes(string $set): array
    {
        if ($set === 'closes') {
            return self::CLOSINGS;
        }
        $takes = [];
        foreach (OpeningKind::cases() as $kind) {
            $takes[$kind->value] = $kind->takes();
        }

        return $takes;
    }

    /** The rules that take something, as a validation names them. */
    private static function that(string $take, string $set): string
    {
        return implode(',', array_keys(array_filter(self::takes($set), static fn (array $takes): bool => in_array($take, $takes, true))));
    }
}

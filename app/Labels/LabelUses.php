<?php

declare(strict_types=1);

namespace App\Labels;

use App\Access\Kept;
use App\Access\SchoolClock;
use App\Database\Dialects;
use App\Database\Value;
use App\Models\Course;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Trigger;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Viewing\PassState;

/** All labels of the school, each with those who have it and every place that names it: as many queries for many as for few, and a few more where courses have changed. */
final readonly class LabelUses
{
    /** Documents are read so many courses at a time, so that memory does not grow with the school. */
    private const AT_ONCE = 50;

    public function __construct(private SchoolClock $clock, private Kept $kept)
    {
    }

    /** @return array<array-key, UsedLabel> by label, in their order */
    public function all(): array
    {
        $labels = [];
        foreach (Label::query()->distinct()->pluck('label') as $label) {
            self::at($labels, Value::text($label));
        }
        foreach ($this->held() as $label => $people) {
            self::at($labels, (string) $label)->people = $people;
        }
        foreach ($this->inRules() as $rules) {
            foreach ($rules->uses() as [$label, $use]) {
                self::at($labels, $label)->uses[] = $use;
            }
        }
        foreach (Offer::query()->whereNotNull('only_label')->orderBy('name')->get() as $offer) {
            self::at($labels, (string) $offer->only_label)->uses[] = new LabelUse(gives: false, title: $offer->name, course: null, drafted: false, route: 'keep.offers', query: []);
        }
        foreach (Trigger::query()->orderBy('name')->get() as $trigger) {
            self::inTrigger($labels, $trigger);
        }
        uksort($labels, static fn (int|string $a, int|string $b): int => strnatcasecmp((string) $a, (string) $b));

        return $labels;
    }

    /**
     * @param  list<string>  $labels
     * @return list<int> ids of the courses whose live rules ask for any of them
     */
    public function askedForIn(array $labels): array
    {
        return array_keys(array_filter($this->inRules(), static fn (RuleLabels $rules): bool => array_filter($rules->uses(), static fn (array $use): bool => ! $use[1]->gives && ! $use[1]->drafted && in_array($use[0], $labels, true)) !== []));
    }

    /** @return array<array-key, int> people who have it now, by label */
    private function held(): array
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $within = static fn (Builder $query, string $of): Builder => $query->where(static fn (Builder $q) => $q->whereNull("{$of}.starts_at")->orWhere("{$of}.starts_at", '<=', $now))
            ->where(static fn (Builder $q) => $q->whereNull("{$of}.ends_at")->orWhere("{$of}.ends_at", '>', $now));
        $byPass = DB::table('passes')->join('offers', 'offers.id', '=', 'passes.offer_id')->join(DB::raw(Dialects::spoken()->elements('offers.labels', 'given')), static fn ($join) => $join->whereRaw('1 = 1'))
            ->where('offers.labels', '!=', '[]')->where('passes.state', PassState::Active->value)->selectRaw('given.value as label, passes.person_id');
        $held = $within(DB::table('labels')->select('label', 'person_id'), 'labels')->union($within($byPass, 'passes'));

        return array_map(Value::int(...), DB::query()->fromSub($held, 'held')->groupBy('label')->selectRaw('label, count(*) as people')->pluck('people', 'label')->all());
    }

    /**
     * What rules name is kept from one revision or version of a draft to the next: only those are read that have changed since.
     *
     * @return array<int, RuleLabels> of each course, by id, in their order
     */
    private function inRules(): array
    {
        $stamps = [];
        foreach (Course::query()->toBase()->leftJoin('drafts', 'drafts.course_id', '=', 'courses.id')->orderBy('courses.id')->get(['courses.id', 'courses.key', 'courses.live_revision_id', 'courses.updated_at', 'drafts.version', 'drafts.updated_at as drafted_at']) as $row) {
            $stamps[Value::int($row->id)] = implode(' ', array_map(Value::text(...), [$row->key, $row->live_revision_id, $row->updated_at, $row->version, $row->drafted_at]));
        }
        $kept = $this->kept->all('labels', RuleLabels::class, $stamps, self::read(...));

        ksort($kept);

        return $kept;
    }

    /**
     * @param  list<int>  $courses  ids
     * @return array<int, RuleLabels> by id
     */
    private static function read(array $courses): array
    {
        $dialect = Dialects::spoken();
        $names = static fn ($query) => $query->whereRaw("({$dialect->contains('document', "'\"label\"'")} or {$dialect->contains('document', "'\"labels\"'")})");
        $found = array_fill_keys($courses, new RuleLabels([]));
        foreach (array_chunk($courses, self::AT_ONCE) as $some) {
            foreach (Course::query()->with(['liveRevision', 'draft'])->whereKey($some)->where(static fn ($query) => $query->whereHas('liveRevision', $names)->orWhereHas('draft', $names))->orderBy('id')->get() as $course) {
                $found[$course->id] = RuleLabels::of($course);
            }
        }

        return $found;
    }

    /** @param  array<array-key, UsedLabel>  $labels */
    private static function inTrigger(array &$labels, Trigger $trigger): void
    {
        $spec = TriggerSpec::of($trigger->spec);
        $use = static fn (bool $gives): LabelUse => new LabelUse($gives, $trigger->name, course: null, drafted: false, route: 'keep.triggers', query: ['open' => $trigger->id]);
        foreach (array_unique(array_filter([$spec->when->label, $spec->only->label, $spec->only->notLabel], is_string(...))) as $label) {
            self::at($labels, $label)->uses[] = $use(gives: false);
        }
        foreach ($spec->steps as $step) {
            if ($step->label !== null && $step->do !== StepKind::JoinList->value) {
                self::at($labels, $step->label)->uses[] = $use($step->do === StepKind::GiveLabel->value);
            }
        }
    }

    /** @param  array<array-key, UsedLabel>  $labels */
    private static function at(array &$labels, string $label): UsedLabel
    {
        return $labels[$label] ??= new UsedLabel($label);
    }
}

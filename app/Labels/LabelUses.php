<?php

declare(strict_types=1);

namespace App\Labels;

use App\Access\SchoolClock;
use App\Database\Dialects;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentLabel;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Trigger;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Viewing\PassState;

/** All labels of the school, each with those who have it and every place that names it: six queries, however many there are. */
final readonly class LabelUses
{
    public function __construct(private SchoolClock $clock)
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
        foreach (self::courses() as $course) {
            self::inRules($labels, $course);
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

    /** @return iterable<Course> whose rules name any label, with what is live and what is drafted */
    private static function courses(): iterable
    {
        $dialect = Dialects::spoken();
        $names = static fn ($query) => $query->whereRaw("({$dialect->contains('document', "'\"label\"'")} or {$dialect->contains('document', "'\"labels\"'")})");

        return Course::query()->with(['liveRevision', 'draft'])->where(static fn ($query) => $query->whereHas('liveRevision', $names)->orWhereHas('draft', $names))->orderBy('id')->get();
    }

    /** @param  array<array-key, UsedLabel>  $labels */
    private static function inRules(array &$labels, Course $course): void
    {
        $told = [];
        foreach (['live' => $course->liveRevision?->document, 'draft' => $course->draft?->document] as $version => $json) {
            if ($json === null) {
                continue;
            }
            $document = CourseDocument::fromJson($json);
            $items = $document->readItems();
            $offers = [];
            foreach ($document->readOffers() as $offer) {
                $offers[$offer->key()] = $offer->title();
            }
            $document->labels()->map(static function (DocumentLabel $one) use (&$labels, &$told, $course, $document, $items, $offers, $version): string {
                $where = "{$one->label} {$one->item} {$one->offer}";
                if (! isset($told[$where])) {
                    $told[$where] = true;
                    self::at($labels, $one->label)->uses[] = new LabelUse(
                        $one->offer !== null, $one->offer !== null ? ($offers[$one->offer] ?? $one->offer) : ($items[(string) $one->item] ?? null)?->title() ?? (string) $one->item, $document->title(), $version === 'draft',
                        $one->offer !== null ? 'keep.offers' : 'keep.course', $one->offer !== null ? [] : ['course' => $course->key, 'row' => (string) $one->item],
                    );
                }

                return $one->label;
            });
        }
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

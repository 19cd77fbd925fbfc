<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\OfferPick;
use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Drafts\DraftPast;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\Outline\DeleteItems;
use App\Drafts\Outline\OutlineTree;
use App\Drafts\Rules\RuleTable;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Label;
use App\Models\Pass;
use App\Models\Person;
use App\Models\VantageSet;
use App\Pages\Workspace\ConditionWords;
use App\Pages\Workspace\SavedVantages;
use App\Pages\Workspace\WorkspacePage;
use App\Publishing\Proposal;
use App\Publishing\Receipt;
use App\Publishing\Rehearsal;
use App\Publishing\RehearsalRuns;
use App\Publishing\Rehearsing;
use App\Sightlines\Expectations\Expectations;
use App\Sightlines\Sightlines;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\Differences;
use App\Words\RuleWords;
use App\Words\Sentence;
use App\Words\SentencePart;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Format\InvalidPlan;

/** Puts together what an administrator sees of courses. */
final readonly class CoursePageBuilder
{
    /** Labels that are proposed; any other can be typed. */
    private const LABELS = 200;

    public function __construct(private Plans $plans, private SchoolClock $clock, private Sightlines $sightlines, private Rehearsal $rehearsal, private Rehearsing $rehearsing, private Expectations $expectations)
    {
    }

    public function named(string $key): ?Course
    {
        return Course::query()->with(['liveRevision', 'draft'])->where('key', $key)->first();
    }

    /** @return list<CourseRow> */
    public function list(): array
    {
        $courses = Course::query()->with(['liveRevision', 'draft'])->orderBy('id')->get();
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $holders = Pass::query()->select('course_id', DB::raw('count(distinct person_id) as holders'))
            ->where('state', 'active')->where('starts_at', '<=', $now)
            ->where(fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now))
            ->groupBy('course_id')->pluck('holders', 'course_id');
        $rows = [];
        foreach ($courses as $course) {
            [$live, $draft] = $this->documents($course);
            $shown = $draft ?? $live;
            if ($shown === null) {
                continue;
            }
            $lessons = count(array_filter(iterator_to_array($shown->items(), false), static fn (\stdClass $item): bool => ($item->kind ?? null) === 'lesson'));
            $revision = $course->liveRevision;
            $rows[] = new CourseRow(
                $course->key,
                $shown->title(),
                self::text($shown->course, 'state'),
                self::entryWords($shown),
                $lessons,
                is_numeric($holders[$course->id] ?? null) ? (int) $holders[$course->id] : 0,
                $revision?->number,
                $revision === null ? null : $this->clock->words($revision->published_at->getTimestamp()),
                $draft === null ? 0 : count(Differences::between($live, $draft)->sentences),
                $course->draft?->publish_at === null ? null : $this->clock->words($course->draft->publish_at->getTimestamp()),
                $course->draft?->publish_refused !== null,
            );
        }

        return $rows;
    }

    public function workspace(Course $course, string $lens, ?string $plan, Look $look, Person $reader, bool $mayEdit): WorkspacePage
    {
        [$live, $draft] = $this->documents($course);
        $document = $draft ?? $live ?? throw new \LogicException('A course has a revision or a draft.');
        $plans = self::planNames($document);
        $plan = in_array($plan, $plans, true) ? $plan : (self::text($document->course, 'main_plan') ?: ($plans[0] ?? null));
        $seen = $look->see === RulesVersion::Published ? $live ?? $document : $document;
        $table = new RuleTable($lens === 'rules' ? $document : $seen, $live, $plan, $this->clock->year(), $this->plans->schoolLetsGuestsIn());

        return new WorkspacePage(
            course: $this->head($course, $document),
            lens: $lens,
            rows: $table->outline(),
            plans: $plans,
            plan: $plan,
            mainPlan: self::text($document->course, 'main_plan') ?: null,
            tiers: array_values(array_filter((array) ($document->course->tiers ?? []), is_string(...))),
            offers: array_map(static fn (\stdClass $offer): OfferPick => new OfferPick(self::text($offer, 'key'), CourseDocument::titleOf($offer), self::text($offer, 'plan') ?: null), $document->offers),
            labels: $mayEdit && $lens === 'rules' ? array_values(Label::query()->distinct()->orderBy('label')->limit(self::LABELS)->pluck('label')->map(strval(...))->all()) : [],
            rules: $lens === 'rules' ? $table->rows() : [],
            changes: $draft === null ? [] : Differences::between($live, $draft)->sentences,
            saved: $lens === 'rules' ? [] : self::saved($course, $reader),
            sightlines: $lens === 'rules' ? null : $this->sightlines->atOnce(
                $course,
                $this->plans->of($seen),
                $look->see === RulesVersion::Both && $draft !== null && $live !== null ? $this->plans->of($live) : null,
                $look,
            ),
            mayEdit: $mayEdit,
            settings: self::settings($course, $document, $mayEdit),
        );
    }

    /** @return list<SavedVantages> */
    private static function saved(Course $course, Person $reader): array
    {
        $saved = [];
        foreach (VantageSet::query()->where('person_id', $reader->id)->where('course_id', $course->id)->orderBy('name')->get() as $set) {
            $saved[] = new SavedVantages($set->id, $set->name, $set->vantages);
        }

        return $saved;
    }

    /** @param  bool  $mayEdit  who may not has no use for the pass phrase */
    private static function settings(Course $model, CourseDocument $document, bool $mayEdit): CourseSettings
    {
        $course = $document->course;
        $door = static fn (string $key): \stdClass => ($course->{$key} ?? null) instanceof \stdClass ? $course->{$key} : new \stdClass;
        $yes = static fn (\stdClass $from, string $key, bool $default = false): bool => ($from->{$key} ?? $default) === true;

        return new CourseSettings(
            title: CourseDocument::titleOf($course),
            state: self::text($course, 'state'),
            entry: self::text($course, 'entry'),
            opens: self::text($course, 'opens') ?: null,
            closes: self::text($course, 'closes') ?: null,
            keepAfterRetiring: $yes($course, 'keep_after_retiring', true),
            sampleNeedsAccount: $yes($course, 'sample_needs_account'),
            inOrder: $yes($course, 'in_order'),
            guestsOpen: $yes($door('guest_door'), 'open'),
            guestsDefault: $yes($door('guest_door'), 'default'),
            guestPhrase: $mayEdit ? $document->guestPhrase() : null,
            guestLink: $mayEdit && $model->guest_token !== null ? SchoolAddress::of('guest', $model->guest_token) : null,
            observersOpen: $yes($door('observer_door'), 'open'),
            observersDefault: $yes($door('observer_door'), 'default'),
            observersFollow: $yes($door('observer_door'), 'follow', true),
            tiers: implode(', ', array_values(array_filter((array) ($course->tiers ?? []), is_string(...)))),
        );
    }

    private function head(Course $course, CourseDocument $document): CourseHead
    {
        $undone = $course->draft?->edits()->whereNotNull('undone_from')->count() ?? 0;

        $draft = $course->draft;

        return new CourseHead(
            $course->key, $document->title(), self::text($document->course, 'state'), $this->doors($document),
            $course->liveRevision?->number, $draft->version ?? 0, ($draft?->edits()->count() ?? 0) - $undone, $undone,
            goesLive: $draft?->publish_at === null ? null : $this->clock->words($draft->publish_at->getTimestamp()),
            goesLiveAsIs: $draft !== null && $draft->publish_version === $draft->version,
            notPublished: $draft?->publish_refused,
        );
    }

    /**
     * What a rehearsal is of: the draft, or an earlier revision that is to be live again. Null where nothing waits to be
     * published.
     */
    private function proposal(Course $course, ?int $back): ?Proposal
    {
        if ($back !== null) {
            $earlier = $course->revisions()->where('number', $back)->first();
            $proposal = $earlier === null ? null : Proposal::backTo($course, $earlier);
        } else {
            $proposal = $course->draft === null ? null : Proposal::draft($course, $course->draft);
        }

        return $proposal === null || $proposal->saysNothingNew() ? null : $proposal;
    }

    /**
     * Null where nothing waits to be published.
     *
     * @param  ?int  $back  number of the revision that is to be live again; null: the draft
     * @param  ?int  $setFor  instant for which the publication may be set; null: at once
     * @param  bool  $anew  though a long one may be finished already
     */
    public function rehearse(Course $course, ?int $back, ?int $setFor, bool $anew, Person $reader, bool $mayEdit): ?RehearsalPage
    {
        $proposal = $this->proposal($course, $back);
        if ($proposal === null) {
            return null;
        }
        $run = $this->rehearsing->look($proposal, $setFor, $anew);
        $at = $run->instant->getTimestamp();
        $finished = $run->finished_at !== null;
        $told = $finished ? $this->rehearsal->tell($proposal, $at, RehearsalRuns::countOf($run)) : null;
        $count = RehearsalRuns::countOf($run);

        return new RehearsalPage(
            course: $this->head($course, $this->plans->named($proposal->document)),
            back: $back,
            changes: Differences::between($proposal->live === null ? null : $this->plans->named($proposal->live), $this->plans->named($proposal->document))->sentences,
            editors: $proposal->draft === null ? [] : self::editors($proposal->draft),
            finished: $finished,
            looked: $run->looked,
            people: $count->people->people,
            observers: $count->observers->people,
            of: $run->of,
            setFor: $setFor === null ? null : $this->clock->wall($setFor),
            atWords: $this->clock->words($at),
            madeAtWords: $this->clock->words($run->made_at->getTimestamp()),
            kept: $run->exists,
            untilWords: $this->clock->date($at + Rehearsal::DAYS * 86400),
            totals: $told->totals ?? [],
            rows: $told->rows ?? [],
            observerTotals: $told->observerTotals ?? [],
            observerRows: $told->observerRows ?? [],
            kinds: $told->kinds ?? [],
            expected: $this->expectations->against($course, $this->plans->of($proposal->document), $proposal->live === null ? null : $this->plans->of($proposal->live), $at),
            losers: $told->losers ?? 0,
            receipt: $finished && $mayEdit ? Receipt::of($proposal, $setFor, $run->made_at->getTimestamp(), $reader) : null,
            mayEdit: $mayEdit,
        );
    }

    /** How far a long rehearsal has come; it is begun where nobody has asked for it yet. Null where nothing waits to be published. */
    public function goOnRehearsing(Course $course, ?int $back, ?int $setFor): ?RehearsalProgress
    {
        $proposal = $this->proposal($course, $back);
        if ($proposal === null) {
            return null;
        }
        $run = $this->rehearsing->begin($proposal, $setFor);

        return new RehearsalProgress($run->looked, $run->of, $run->finished_at !== null);
    }

    /** @return list<string> who made the edits that stand, with how many */
    private static function editors(Draft $draft): array
    {
        $counts = [];
        foreach ($draft->edits()->whereNull('undone_from')->with('author:id,name')->get(['id', 'draft_id', 'author_id']) as $edit) {
            $name = $edit->author->name ?? 'the program';
            $counts[$name] = ($counts[$name] ?? 0) + 1;
        }

        return array_map(static fn (string $name, int $count): string => $name.($count === 1 ? ', 1 edit' : ", {$count} edits"), array_map(strval(...), array_keys($counts)), array_values($counts));
    }

    /** A condition that somebody is building, as a sentence, and what is wrong with it. */
    public function conditionWords(Course $course, ?\stdClass $only): ConditionWords
    {
        [$live, $draft] = $this->documents($course);
        $document = ($draft ?? $live ?? throw new \LogicException('A course has a revision or a draft.'))->copy();
        $titles = $offers = [];
        foreach ($document->items() as $item) {
            $titles[self::text($item, 'key')] = CourseDocument::titleOf($item);
        }
        foreach ($document->offers as $offer) {
            $offers[self::text($offer, 'key')] = CourseDocument::titleOf($offer);
        }
        $words = RuleWords::condition($only, static fn (string $key): string => $titles[$key] ?? $key, static fn (string $key): string => $offers[$key] ?? $key);
        // An item of its own to ask the core about, at the end so that its pointers are known.
        $items = is_array($document->course->items ?? null) ? $document->course->items : [];
        $document->course->items = [...$items, (object) ['key' => (new OutlineTree($document))->freeKey('probe'), 'kind' => 'lesson', 'only' => $only]];
        $errors = [];
        try {
            $this->plans->read($document);
        } catch (InvalidPlan $e) {
            foreach ($e->offences as $offence) {
                $errors['only'.str_replace('/', '.', substr($offence->pointer, strlen('/courses/0/items/'.count($items).'/only')))] ??= "This {$offence->message}.";
            }
        }

        return new ConditionWords($words, $errors);
    }

    /** What others have done to the draft since somebody looked at it. */
    public function news(Course $course, int $since, Person $reader): DraftNews
    {
        $draft = $course->draft;
        if ($draft === null || $draft->version <= $since) {
            return new DraftNews($draft->version ?? 0, null, []);
        }
        $past = DraftPast::since($draft, $since, $reader);

        return new DraftNews($draft->version, $past['who'], array_slice($past['sentences'], 0, 3));
    }

    /** @return list<Sentence> what speaks of the items that an edit would take out */
    public function dependents(Course $course, DeleteItems $edit): array
    {
        [$live, $draft] = $this->documents($course);
        $document = $draft ?? $live;
        try {
            return $document === null ? [] : $edit->dependents($document);
        } catch (CannotEdit) {
            // The edit itself will say so.
            return [];
        }
    }

    public function history(Course $course, bool $mayEdit): HistoryPage
    {
        $revisions = $course->revisions()->with('author')->orderByDesc('number')->get();
        $rows = [];
        foreach ($revisions as $index => $revision) {
            $before = $revisions[$index + 1] ?? null;
            $rows[] = new RevisionRow(
                $revision->number,
                $revision->id === $course->live_revision_id,
                $this->clock->words($revision->published_at->getTimestamp()),
                $revision->author?->name,
                $revision->note,
                Differences::between($before === null ? null : CourseDocument::fromJson($before->document), CourseDocument::fromJson($revision->document))->sentences,
            );
        }
        [$live, $draft] = $this->documents($course);

        return new HistoryPage($this->head($course, $live ?? $draft ?? throw new \LogicException('A course has a revision or a draft.')), $rows, $mayEdit);
    }

    /** @return array{?CourseDocument, ?CourseDocument} live, draft */
    private function documents(Course $course): array
    {
        return [
            $course->liveRevision === null ? null : $this->plans->named(CourseDocument::fromJson($course->liveRevision->document)),
            $course->draft === null ? null : $this->plans->named(CourseDocument::fromJson($course->draft->document)),
        ];
    }

    /** @return list<string> */
    private static function planNames(CourseDocument $document): array
    {
        $plans = $document->course->plans ?? null;

        return $plans instanceof \stdClass ? array_map(strval(...), array_keys(get_object_vars($plans))) : [];
    }

    private static function entryWords(CourseDocument $document): string
    {
        return match (self::text($document->course, 'entry')) {
            'anyone' => 'Open to anyone',
            'signup' => 'Whoever signs up',
            'offer' => 'By offer',
            default => 'By invitation',
        };
    }

    /** @return list<SentencePart> who gets in, in a sentence */
    private function doors(CourseDocument $document): array
    {
        $course = $document->course;
        $guest = ($course->guest_door ?? null) instanceof \stdClass ? $course->guest_door : new \stdClass;
        $observer = ($course->observer_door ?? null) instanceof \stdClass ? $course->observer_door : new \stdClass;
        $guestOpen = ($guest->open ?? false) === true;
        $observerOpen = ($observer->open ?? false) === true;
        $sentence = Sentence::of(
            '{} · guest door {}'.($guestOpen && ($guest->default ?? false) !== true ? ', only where marked' : '')
            .' · observer door {}'.($observerOpen ? (($observer->follow ?? true) === true ? ', observers follow their learner' : ', observers see what is marked') : '').' · {}',
            self::entryWords($document),
            $guestOpen ? ($document->guestPhrase() === null ? 'open' : 'open with a pass phrase') : 'shut',
            $observerOpen ? 'open' : 'shut',
            self::season($course),
        );

        return $sentence->segments;
    }

    private static function season(\stdClass $course): string
    {
        $opens = $course->opens ?? null;
        $closes = $course->closes ?? null;

        return match (true) {
            $opens === null && $closes === null => 'no season',
            $opens === null => 'until '.RuleWords::local($closes),
            $closes === null => 'from '.RuleWords::local($opens),
            default => 'season '.RuleWords::local($opens).' to '.RuleWords::local($closes),
        };
    }

    private static function text(\stdClass $from, string $key): string
    {
        $value = $from->{$key} ?? '';

        return is_string($value) ? $value : '';
    }
}

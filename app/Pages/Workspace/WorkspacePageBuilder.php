<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Shelf\OfferPick;
use App\Drafts\DraftedContent;
use App\Drafts\DraftPast;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\Outline\DeleteItems;
use App\Drafts\Outline\OutlineTree;
use App\Drafts\Rules\RuleColumn;
use App\Drafts\Rules\RuleTable;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentCondition;
use App\Models\Document\DocumentOffer;
use App\Models\Document\WritableItem;
use App\Models\Draft;
use App\Models\Pass;
use App\Models\Person;
use App\Models\VantageSet;
use App\Pages\Courses\CourseHeadBuilder;
use App\Pages\Courses\CourseSettings;
use App\Pages\Courses\DraftNews;
use App\Pages\Notices\NoticesLensBuilder;
use App\People\PeoplesLabels;
use App\Sightlines\Expectations\Expectations;
use App\Sightlines\Sightlines;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\Differences;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Samples;
use SilentKeep\Core\Format\InvalidPlan;

/** The one screen on which a course is worked on, and what its editors ask beside it. */
final readonly class WorkspacePageBuilder
{
    /** Labels that are proposed; any other can be typed. */
    private const LABELS = 200;

    public function __construct(private CourseHeadBuilder $heads, private Plans $plans, private SchoolClock $clock, private Sightlines $sightlines, private NoticesLensBuilder $notices, private Expectations $expectations)
    {
    }

    public function page(Course $course, string $lens, ?string $plan, Look $look, Person $reader, bool $mayEdit): WorkspacePage
    {
        [$live, $draft] = $this->heads->documents($course);
        $document = $draft ?? $live ?? throw new \LogicException('A course has a revision or a draft.');
        $plans = $document->read()->planNames();
        $plan = in_array($plan, $plans, true) ? $plan : ($document->read()->mainPlan() ?? $plans[0] ?? null);
        $seen = $look->see === RulesVersion::Published ? $live ?? $document : $document;
        $table = new RuleTable($lens === 'rules' ? $document : $seen, $live, $plan, $this->clock->year(), $this->plans->schoolLetsGuestsIn(), fn (): Samples => $this->plans->of($document)->prepared->samples);

        return new WorkspacePage(
            course: $this->heads->of($course, $document),
            lens: $lens,
            rows: $table->outline(),
            plans: $plans,
            plan: $plan,
            mainPlan: $document->read()->mainPlan(),
            tiers: $document->read()->tiers(),
            offers: array_map(static fn (DocumentOffer $offer): OfferPick => new OfferPick($offer->key(), $offer->title(), $offer->plan()), $document->readOffers()),
            labels: $mayEdit && $lens === 'rules' ? PeoplesLabels::known(self::LABELS) : [],
            rules: $lens === 'rules' ? $table->rows() : [],
            columns: $lens === 'rules' ? RuleColumn::all($reader->rule_columns) : [],
            changes: $draft === null ? [] : [...Differences::between($live, $draft)->sentences, ...array_map(static fn (DraftedContent $content): Sentence => $content->sentence(), DraftedContent::of($course, $draft))],
            saved: $lens === 'rules' ? [] : self::saved($course, $reader),
            offsets: $this->clock->offsets(),
            expectations: $this->expectations->stamp($course),
            sightlines: $lens === 'rules' || $lens === 'notices' ? null : $this->sightlines->atOnce(
                $course,
                $this->plans->of($seen),
                $look->see === RulesVersion::Both && $draft !== null && $live !== null ? $this->plans->of($live) : null,
                $look,
            ),
            notices: $lens === 'notices' ? $this->notices->grid($course, $look) : null,
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
        $course = $document->read();

        return new CourseSettings(
            title: $course->title(),
            state: $course->state(),
            entry: $course->entry(),
            opens: $course->opens(),
            closes: $course->closes(),
            keepAfterRetiring: $course->keepAfterRetiring(),
            sampleNeedsAccount: $course->sampleNeedsAccount(),
            inOrder: $course->inOrder(),
            guestsOpen: $course->guestDoor()->open,
            guestsDefault: $course->guestDoor()->default,
            guestPhrase: $mayEdit ? $document->guestPhrase() : null,
            guestLink: $mayEdit && $model->guest_token !== null ? SchoolAddress::of('guest', $model->guest_token) : null,
            observersOpen: $course->observerDoor()->open,
            observersDefault: $course->observerDoor()->default,
            observersFollow: $course->observerDoor()->follow,
            tiers: implode(', ', $course->tiers()),
        );
    }

    /** A condition that somebody is building, as a sentence, and what is wrong with it. */
    public function conditionWords(Course $course, ?DocumentCondition $only): ConditionWords
    {
        [$live, $draft] = $this->heads->documents($course);
        $document = ($draft ?? $live ?? throw new \LogicException('A course has a revision or a draft.'))->copy();
        $titles = $offers = [];
        foreach ($document->readItems() as $item) {
            $titles[$item->key()] = $item->title();
        }
        foreach ($document->readOffers() as $offer) {
            $offers[$offer->key()] = $offer->title();
        }
        $words = RuleWords::condition($only, static fn (string $key): string => $titles[$key] ?? $key, static fn (string $key): string => $offers[$key] ?? $key);
        // An item of its own to ask the core about, at the end so that its pointers are known.
        $items = $document->edit()->outline()->inside();
        $probe = WritableItem::make((new OutlineTree($document))->freeKey('probe'), 'lesson', '');
        $probe->set('only', $only);
        $document->edit()->outline()->insert(null, $probe);
        $errors = [];
        try {
            $this->plans->read($document);
        } catch (InvalidPlan $e) {
            foreach ($e->offences as $offence) {
                $errors['only'.str_replace('/', '.', substr($offence->pointer, strlen('/courses/0/items/'.count($items).'/only')))] ??= Say::text('pages.workspace_page_builder.this_message', ['message' => $offence->message]);
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
        [$live, $draft] = $this->heads->documents($course);
        $document = $draft ?? $live;
        try {
            return $document === null ? [] : $edit->dependents($document);
        } catch (CannotEdit) {
            // The edit itself will say so.
            return [];
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Checks;

use App\Counting\Holders;
use App\Models\Content;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\NoticeText;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use App\Notices\NoticeCase;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Item;

/** What is found beside a course's rules: people whose offer was withdrawn, observers who are shown nothing, links that open to anybody, notices without a next step. */
final readonly class BesidesRules
{
    /** Parts of a notice by which one goes on. */
    private const STEPS = [PartKind::Button, PartKind::SignIn, PartKind::Offers, PartKind::Finish, PartKind::Samples, PartKind::Courses, PartKind::NextRun, PartKind::Ask, PartKind::Open];

    public function __construct(private Holders $holders, private CourseFindings $findings, private Surveys $surveys)
    {
    }

    /** @return list<Besides> a handful of queries, however much there is */
    public function of(Course $course, CourseDocument $document): array
    {
        return [...$this->phrase($course, $document), ...$this->withdrawn($course, $document), ...$this->ties($course, $document), ...$this->links($course, $document), ...$this->notices($course)];
    }

    /** @return list<Besides> guests are asked for a pass phrase at the door, and not again */
    private function phrase(Course $course, CourseDocument $document): array
    {
        $live = $course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document);

        return $live !== null && $live->read()->guestDoor()->open && $document->read()->guestDoor()->open && $live->guestPhrase() === null && $document->guestPhrase() !== null ? [Besides::of('phrase')] : [];
    }

    /** @return list<Besides> */
    private function withdrawn(Course $course, CourseDocument $document): array
    {
        $gone = Offer::query()->where('course_id', $course->id)->orderBy('id')->get(['id', 'key', 'name'])->filter(static fn (Offer $offer): bool => ! $document->hasOffer($offer->key));
        $held = $gone->isEmpty() ? 0 : $this->holders->of($course)->whereIn('offer_id', $gone->pluck('id')->all())->distinct()->count('person_id');

        return $held === 0 ? [] : [Besides::of('withdrawn', ['count' => $held], ['offers' => array_values($gone->map(static fn (Offer $offer): string => $offer->name)->all())], route('keep.people.list', ['holds' => $gone->first()->key ?? ''], false))];
    }

    /** @return list<Besides> */
    private function ties(Course $course, CourseDocument $document): array
    {
        $shut = ! $document->read()->observerDoor()->open;
        $nowhere = array_filter($this->findings->all($course, $document), static fn (Finding $finding): bool => $finding->kind === CheckKind::DoorLeadsNowhere && $finding->about === [Audience::Observers->value]);
        if (! $shut && $nowhere === []) {
            return [];
        }
        $looking = ObserverTie::query()->whereIn('learner_id', $this->holders->of($course)->select('person_id'))->distinct()->count('observer_id');

        return $looking === 0 ? [] : [Besides::of('ties', ['count' => $looking, 'shut' => $shut ? 'yes' : 'no'], where: route('keep.people.list', ['standing' => 'observes'], false))];
    }

    /** @return list<Besides> in what strangers may not see */
    private function links(Course $course, CourseDocument $document): array
    {
        $linked = [];
        foreach (Content::query()->where('course_id', $course->id)->where('text', 'like', '%http%')->orderBy('id')->get(['id', 'item_key', 'text']) as $content) {
            if (preg_match('~https?://[^\s)]+\.(?:mp4|webm|mov|m4v|mp3|ogg|pdf|zip)\b~i', $content->text) === 1) {
                $linked[] = $content->item_key;
            }
        }
        if ($linked === []) {
            return [];
        }
        $survey = $this->surveys->of($course, $document);
        $open = $survey->strangers(signedIn: false);
        $closed = array_filter($survey->outline->items, static fn (Item $item, int $position): bool => in_array($item->key, $linked, true) && $survey->isPublished($position) && $open[$position] === null, ARRAY_FILTER_USE_BOTH);

        return $closed === [] ? [] : [Besides::of('links', ['count' => count($closed)], ['items' => array_values(array_map(static fn (Item $item): string => $item->title ?? $item->key, $closed))], route('keep.contents', ['course' => $course], false))];
    }

    /** @return list<Besides> */
    private function notices(Course $course): array
    {
        $found = [];
        foreach (NoticeText::query()->where('course_id', $course->id)->where('way', 'show')->whereNotNull('parts')->orderBy('id')->get() as $notice) {
            $parts = Part::of($notice);
            $steps = array_filter($parts, static fn (Part $part): bool => in_array($part->kind(), self::STEPS, true) || str_contains($part->text, ']('));
            if ($steps === [] && ! str_contains($notice->text, '](')) {
                $found[] = Besides::of('no_step', ['who' => NoticeCase::tryFrom($notice->case)?->words() ?? $notice->case], where: route('keep.course-notices', ['course' => $course], false));
            }
        }

        return $found;
    }
}

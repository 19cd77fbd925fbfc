<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\Plans;
use App\Access\Shelf\RowIndex;
use App\Database\Hand;
use App\Database\Value;
use App\Drafts\DraftConflict;
use App\Drafts\DraftedContent;
use App\Drafts\Outline\FormerItems;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Retirement;
use App\Models\Revision;
use App\Publishing\Events\ContentsTakenBack;
use App\Publishing\Events\DraftPublished;
use App\Publishing\Events\RetiredForGood;
use App\Publishing\Seen\Losses;
use App\Publishing\Seen\Shown;
use App\School\Log\ActivityLog;
use App\Words\Differences;
use App\Words\Sentence;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * The only writer of revisions: whatever goes live, goes live here. What it takes from people is for the caller to have
 * asked {@see Losses}: nobody is counted while others wait for the lock.
 */
final readonly class PublishRevision
{
    public function __construct(private ClockInterface $clock, private Plans $plans, private ActivityLog $log, private Dispatcher $events, private RowIndex $rows)
    {
    }

    /**
     * @param  ?Person  $author  null: the program itself
     * @param  ?Shown  $shown  the rehearsal that they were shown
     * @return array{Revision, list<Sentence>} the revision, and what it changes
     *
     * @throws DraftConflict if it says nothing new, or what it was proposed over is not what is there any more
     * @throws \SilentKeep\Core\Format\InvalidPlan
     */
    public function __invoke(Proposal $proposal, ?string $note, ?Person $author, ?Shown $shown = null): array
    {
        if ($proposal->saysNothingNew()) {
            throw DraftConflict::nothingToPublish();
        }
        $this->plans->of($proposal->document);
        $changes = [...Differences::between($proposal->live, $proposal->document)->sentences, ...$proposal->contentsTold()];
        $former = FormerItems::between($proposal->live, $proposal->document);

        $revision = Hand::writes($author?->id, 'publication', fn (): Revision => DB::transaction(function () use ($proposal, $changes, $note, $author, $former, $shown): Revision {
            $before = self::basis($proposal);
            $revision = Revision::query()->create([
                'course_id' => $proposal->course->id,
                'number' => 1 + Value::int(Revision::query()->where('course_id', $proposal->course->id)->max('number')),
                'document' => $proposal->document->toJson(),
                'contents' => $proposal->contents === [] ? null : array_map(static fn (DraftedContent $content): array => $content->toArray(), $proposal->contents),
                'author_id' => $author?->id,
                'note' => $note,
                'published_at' => $this->clock->now(),
            ]);
            if ($shown !== null) {
                DB::table('rehearsed')->insert(['revision_id' => $revision->id, 'made_at' => $shown->madeAt, 'for' => $shown->for]);
            }
            $this->log->note('course.published', $author, $proposal->course, before: ['revision' => $before], after: ['revision' => $revision->number, 'changes' => array_map(strval(...), $changes)]);
            $proposal->course->liveRevision()->associate($revision);
            $proposal->course->hidden = $proposal->document->read()->state() === 'draft';
            $this->retire($proposal, $revision);
            $proposal->course->save();
            $this->rows->replace($proposal->course->id, $proposal->document);
            self::keepLabels($proposal);
            $former->keep($proposal->course, $this->clock->now());
            $this->goOn($proposal, $revision, $author);

            return $revision;
        }));

        return [$revision, $changes];
    }

    /** What is drafted and what lessons hold, from there on. */
    private function goOn(Proposal $proposal, Revision $revision, ?Person $author): void
    {
        if ($proposal->draft !== null) {
            Course::endDraft($proposal->draft);
            $this->events->dispatch(new DraftPublished($proposal->course, $author));

            return;
        }
        // A draft that is under way keeps what it says, and is rehearsed against what is live now.
        Draft::query()->where('course_id', $proposal->course->id)->update(['base_revision_id' => $revision->id]);
        if ($proposal->contents !== []) {
            $this->events->dispatch(new ContentsTakenBack($proposal->course, array_map(static fn (DraftedContent $content): array => [$content->item, (int) $content->back], $proposal->contents), $author));
        }
    }

    /**
     * What was planned with the draft that retires the course.
     *
     * @throws DraftConflict
     */
    private function retire(Proposal $proposal, Revision $revision): void
    {
        $planned = Course::query()->whereKey($proposal->course->id)->value('retirement');
        $with = $proposal->draft === null || $proposal->document->read()->state() !== 'retired' ? null : Retirement::of(is_string($planned) ? $planned : null);
        if ($with === null) {
            return;
        }
        if ($with->address !== null && ! $proposal->course->mayHaveAddress($with->address)) {
            throw DraftConflict::addressTaken($with->address);
        }
        $proposal->course->fill($with->columns());
        if ($with->forGood) {
            $this->events->dispatch(new RetiredForGood($proposal->course->id, $revision->id, $with->by));
        }
    }

    /** Other courses, whose rules do not know these offers, ask their rows which labels they give. */
    private static function keepLabels(Proposal $proposal): void
    {
        $given = [];
        foreach ($proposal->document->readOffers() as $offer) {
            $given[$offer->key()] = $offer->labels();
        }
        foreach (Offer::query()->where('course_id', $proposal->course->id)->get() as $offer) {
            $offer->update(['labels' => $given[$offer->key] ?? []]);
        }
    }

    /**
     * @return ?int the number of the revision that is live
     *
     * @throws DraftConflict
     */
    private static function basis(Proposal $proposal): ?int
    {
        $live = Course::query()->whereKey($proposal->course->id)->value('live_revision_id');
        if ($live !== $proposal->base) {
            throw DraftConflict::publishedMeanwhile();
        }
        if ($proposal->draft !== null) {
            $version = Draft::query()->whereKey($proposal->draft->id)->value('version') ?? throw DraftConflict::nothingToPublish();
            if ($version !== $proposal->draft->version) {
                throw DraftConflict::changedMeanwhile();
            }
        }

        return $proposal->course->liveRevision?->number;
    }
}

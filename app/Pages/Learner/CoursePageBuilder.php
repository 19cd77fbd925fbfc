<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\SchoolAddress;
use App\Access\SchoolOf;
use App\Learning\Contents\LessonContents;
use App\Learning\Contents\OpenContents;
use App\Learning\LearnerView;
use App\Learning\PathRow;
use App\Learning\Reading;
use App\Learning\Watching\WatchCard;
use App\Learning\Watching\Watching;
use App\Models\Course;
use App\Models\ItemVisit;
use App\Models\NoticeText;
use App\Models\Person;
use App\Models\School;
use App\Notices\NoticeCase;
use App\Notices\NoticeTexts;
use App\Notices\Placeholders;
use App\Notices\SentAway;
use App\Offers\Sales\OfferCard;
use App\Offers\Sales\Shop;
use App\Offers\Takers;
use App\Pages\Learner\Closed\ClosingWordsBuilder;
use App\Pages\Learner\Closed\NoticePage;
use App\Pages\Learner\Closed\NoticePartsBuilder;
use App\Pages\Learner\Inside\ModuleIntrosBuilder;
use App\Pages\Learner\Outside\CourseFaceBuilder;
use App\Pages\Learner\Outside\OfferColumnsBuilder;
use App\Pages\Shared\ReadyTexts;
use App\Words\Glyph;
use App\Words\RuleWords;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\FinishedBy;

/** The pages of a course as its viewer meets them: to be shown to themselves, or to somebody who stands in for them. */
final readonly class CoursePageBuilder
{
    public function __construct(private LessonContents $contents, private BoardPageBuilder $boards, private NoticeTexts $notices, private SchoolOf $school, private Shop $shop, private Takers $takers, private ClosingWordsBuilder $closing, private NoticePartsBuilder $parts, private RelatedBuilder $related, private CourseFaceBuilder $faces, private OfferColumnsBuilder $columns, private ModuleIntrosBuilder $modules, private ReadyTexts $ready)
    {
    }

    /**
     * Null where nothing at all is to be seen.
     *
     * @param  ?int  $learner  whose looks tell where they were last
     * @param  ?Person  $buyer  who would take an offer
     * @param  bool  $drafted  what modules say as it is to be once the draft of the course is published
     */
    public function course(Course $course, LearnerView $view, ?int $learner, ?Person $buyer, bool $drafted = false): ?CoursePage
    {
        if (! $view->isVisible()) {
            return null;
        }
        $frame = $view->frame();
        [$inside, $viewer] = [$view->isInside(), $view->answer->viewer];
        // Whoever looks with somebody buys nothing by it.
        $buys = ! $viewer->staff && $viewer->observes === null;
        $own = $inside && $buys && $buyer !== null && $learner === $buyer->id;

        return new CoursePage(
            $frame,
            $view->path->nextStep(),
            $learner === null ? null : $this->last($course, $view, $learner),
            $inside ? $view->dates->opensNext() : null,
            $inside,
            $this->faces->of($course, $view, $frame->path),
            $inside || ! $buys ? [] : $this->columns->of($course, $view, $this->takers->of($buyer, $view->answer), $frame->path),
            $buys ? $this->offers($course, $view, $buyer) : [],
            $own && $buyer->calendar_token !== null ? SchoolAddress::of('calendar', $buyer->calendar_token) : null,
            $own,
            $inside ? $this->modules->of($course, $view, $drafted) : [],
            $this->closing->of($course, $view->answer),
            $this->related->at($course, $view, '', $buyer),
        );
    }

    /** @return list<OfferCard> beside the columns: upgrades and renewals for those inside, bundles for those outside */
    private function offers(Course $course, LearnerView $view, ?Person $buyer): array
    {
        return $view->isInside()
            ? $this->shop->offersOf($view->answer, $course, $this->takers->of($buyer, $view->answer))
            : [...array_slice($this->shop->offersOf($view->answer, $course, $this->takers->of($buyer, $view->answer)), OfferColumnsBuilder::MOST), ...$this->shop->bundlesWith(array_map(static fn ($offer): string => $offer->key, $view->answer->decider->course->offers), $buyer, $view->answer->at)];
    }

    /** @return list<OfferCard> bundles among them that give a pass which opens it */
    private function waysTo(Course $course, LearnerView $view, ?Person $buyer, string $item): array
    {
        [$cards, $opening] = $this->shop->waysTo($view->answer, $course, $this->takers->of($buyer, $view->answer), $item);

        return [...$cards, ...$this->shop->bundlesWith($opening, $buyer, $view->answer->at, $item)];
    }

    private function last(Course $course, LearnerView $view, int $learner): ?PathRow
    {
        $key = ItemVisit::query()->where('course_id', $course->id)->where('person_id', $learner)->orderByDesc('last_at')->orderByDesc('id')->value('item_key');

        return is_string($key) ? $view->toDo($key) : null;
    }

    /**
     * The item, or what stands in its place; null where it is hidden or not there.
     *
     * @param  ?array<string, NoticeText>  $texts  that stand at its closed doors, where they are not those that are kept
     */
    public function item(Course $course, LearnerView $view, string $item, Reading $reading, ?array $texts = null): LessonPage|BoardPage|NoticePage|SentAway|null
    {
        $decision = $view->decision($item);
        $row = $view->path->rowOf($item);
        if ($decision === null || $row === null) {
            return null;
        }
        if ($decision->state !== State::Open) {
            return $this->closed($course, $view, $decision, $reading, $texts);
        }
        $contents = $this->contents->of($course, $decision, drafted: $reading->drafted);
        if ($view->kind($item) === Kind::Board) {
            return $this->boards->page($course, $view, $row, $contents, $reading, $decision->act);
        }
        $by = $view->finishableBy($item);
        $threshold = $view->finishOf($item)?->threshold;

        return new LessonPage(
            course: $view->frame(),
            item: $row,
            html: $this->ready->ofItem($course->id, $row->key, $contents->content->text ?? ''),
            finish: $by->value ?? 'none',
            media: $this->contents->cards($contents, $reading->bearer),
            quiz: $this->contents->quiz($contents, $view->finishOf($item)?->by === FinishedBy::Quiz ? $threshold : null, $reading->real && $reading->person !== null && $by !== null, $reading->learner),
            watch: $by === FinishedBy::Watch && $threshold !== null ? $this->watch($contents, $threshold, $row->finished, $reading) : null,
            parts: $view->path->inside($item),
            before: $view->path->before($item),
            after: $view->path->after($item),
            next: $view->path->nextStep($item) ?? $view->path->nextStep(),
            related: $this->related->at($course, $view, $item, $reading->person),
        );
    }

    private function watch(OpenContents $contents, float $needed, bool $finished, Reading $reading): ?WatchCard
    {
        $video = LessonContents::video($contents);

        return $video === null ? null : Watching::card($video, $reading->learner === null ? null : $this->contents->watchOf($video, $reading->learner), $needed, $finished, $reading->learner);
    }

    /** @param  list<OfferCard>  $offers  that open it and that they may take: no other is named */
    private static function words(LearnerView $view, Decision $decision, Reading $reading, School $school, array $offers): Placeholders
    {
        return new Placeholders([
            ...$view->placeholders($decision),
            'name' => $reading->person->name ?? '',
            'school' => $school->name,
            'contact' => $school->contact_name ?? '',
            'offer' => $offers[0]->name ?? '',
            'offers' => $offers === [] ? '' : RuleWords::enumeration(array_map(static fn (OfferCard $card): string => $card->name, $offers), 'or'),
            'price' => $offers[0]->price ?? '',
        ]);
    }

    /** @param  ?array<string, NoticeText>  $texts */
    private function closed(Course $course, LearnerView $view, Decision $decision, Reading $reading, ?array $texts): NoticePage|SentAway
    {
        $case = NoticeCase::of($told = $view->told($decision->item) ?? $decision);
        $outline = $view->answer->decider->course->outline;
        $own = $this->notices->at($course, $outline->keysUp($outline->positionOf($decision->item) ?? 0), $view->answer->offersHeld(), $case, $texts)[0]->text ?? null;
        if ($own !== null && $own->way === 'sign-in' && $reading->signIn !== null && $case->canSendToSignIn()) {
            return new SentAway($reading->signIn);
        }
        // Not in a circle, where the address is this very door.
        if ($own !== null && $own->way === 'address' && $own->address !== null && $own->address !== route('lesson', [$course, $decision->item], false)) {
            return new SentAway($own->address);
        }
        [$notice, $school] = [$view->notice($told), ($this->school)()];
        // Whoever looks with somebody buys nothing by it.
        $offers = $view->answer->viewer->observes === null ? $this->waysTo($course, $view, $reading->person, $decision->item) : [];
        $words = self::words($view, $decision, $reading, $school, $offers);
        [$lookAt, $signUp, $instead] = [$view->path->nextStep() ?? $view->path->somethingOpen(), ClosingWordsBuilder::signUp($course, $view->answer), $this->closing->instead($course, $view->answer)];

        return new NoticePage(
            course: $view->frame(),
            item: $decision->item,
            glyph: Glyph::of($decision)->value,
            case: $case->value,
            heading: $own === null || $own->heading === '' ? $notice->heading : Sentence::of(Sentence::title($words->heading($own->heading))),
            titled: $own->titled ?? true,
            text: $notice->text,
            html: $own === null || $own->text === '' ? null : $words->html($own->text),
            parts: $this->parts->of($course, $view, $decision->item, $case, $own, $words, $reading, [
                'sign-in' => $reading->signIn !== null, 'offers' => $offers !== [], 'courses' => $instead !== [], 'next-run' => $signUp !== 'none',
                'ask' => $school->contact_name !== null && $school->contact_email !== null, 'open' => $lookAt !== null,
            ]),
            signIn: $reading->signIn,
            contactName: $school->contact_name,
            contactEmail: $school->contact_email,
            lookAt: $lookAt,
            offers: $offers,
            signUp: $signUp,
            instead: $instead,
        );
    }
}

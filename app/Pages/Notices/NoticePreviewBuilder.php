<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\NoticeText;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\NoticeTexts;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use App\Notices\Placeholders;
use App\Pages\Learner\Closed\NoticePage;
use App\Pages\Learner\Closed\NoticePart;
use App\Pages\Learner\CoursePageBuilder;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\School\Pictures\Pictures;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use App\Words\RuleWords;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;

/** A notice while it is being written: with an example's names, or as somebody in particular would meet it. */
final readonly class NoticePreviewBuilder
{
    public function __construct(
        private NoticeTexts $texts,
        private SchoolOf $school,
        private SchoolClock $clock,
        private Pictures $pictures,
        private Plans $plans,
        private Vantages $vantages,
        private VantageWords $words,
        private LearnerViews $views,
        private CoursePageBuilder $pages,
        private NoticeFindings $findings,
    ) {
    }

    /**
     * With names of the course, or of any, and of nobody in particular.
     *
     * @param  NoticeText  $typed  not kept yet
     */
    public function example(NoticePlace $place, ?NoticeCase $case, NoticeText $typed): NoticePreview
    {
        $parts = Part::of($typed);
        $shown = $place->course ?? Course::query()->with(['liveRevision', 'draft'])->whereNotNull('live_revision_id')->orderBy('id')->first();
        $words = new Placeholders([
            ...$this->values($shown === null ? null : SightlinesPageBuilder::seen($shown, RulesVersion::Draft), $place->item),
            ...($case?->isOfNobodyKnown() === true ? ['name' => '', 'pass' => '', 'left' => ''] : []),
        ]);
        $pictures = $this->pictures->all(array_map(static fn (Part $part): string => $part->to, $parts));
        $said = [$typed->heading, $typed->text, ...array_map(static fn (Part $part): string => $part->text, $parts)];

        return new NoticePreview(
            $words->heading($typed->heading),
            $words->html($typed->text),
            array_map(static fn (Part $part): NoticePart => match ($part->kind()) {
                PartKind::Text => new NoticePart($part->kind, html: $words->html($part->text)),
                PartKind::Picture => new NoticePart($part->kind, picture: $pictures[$part->to] ?? null),
                default => new NoticePart($part->kind, label: $words->heading($part->text)),
            }, $parts),
            array_values(array_unique(array_merge(...array_map(Placeholders::unknownIn(...), $said)))),
            $this->findings->of($place, $case, $typed),
        );
    }

    /**
     * As one vantage meets it, at a row or at the first at which it does.
     *
     * @return array{?NoticePage, string} the page, and where it is or why there is none, in words
     */
    public function metBy(Course $course, NoticePlace $place, NoticeCase $case, NoticeText $typed, VantagePoint $point, ?string $row, string $bearer): array
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, RulesVersion::Draft));
        $seen = $this->vantages->stand($course, $decider, [$point])[0] ?? null;
        if ($seen === null) {
            return [null, Say::text('pages.notices.preview.nobody')];
        }
        $name = $this->words->of($seen, $decider)->name;
        $view = $this->views->of($decider, $seen->viewer, $this->clock->stoppedAt($this->clock->now()));
        $typed->forceFill(['scope' => $place->scope(), 'case' => $case->value, 'offer_key' => $place->offer]);
        $item = $this->door($course, $decider, $view, $place, $case, $typed, $row);
        if ($item === null) {
            return [null, Say::text($row === null ? 'pages.notices.preview.not_met' : 'pages.notices.preview.not_met_here', ['name' => $name])];
        }
        $page = $this->pages->item($course, $view, $item, ReadBy::vantage($seen, $bearer), NoticeTexts::with($this->texts->within($course), $typed));
        $title = $decider->course->outline->items[$decider->course->outline->positionOf($item) ?? 0]->title ?? $item;

        return [$page instanceof NoticePage ? $page : null, Say::text('pages.notices.preview.met', ['name' => $name, 'item' => $title])];
    }

    /** The row asked for, or the first, at which these very words are met. */
    private function door(Course $course, Decider $decider, LearnerView $view, NoticePlace $place, NoticeCase $case, NoticeText $typed, ?string $row): ?string
    {
        $outline = $decider->course->outline;
        $texts = NoticeTexts::with($this->texts->within($course), $typed);
        foreach ($view->answer->decisions() as $position => $decision) {
            if (($row === null || $decision->item === $row) && $decision->state === State::Locked && NoticeCase::of($view->answer->told($position)) === $case
                && ($this->texts->at($course, $outline->keysUp($position), $view->answer->offersHeld(), $case, $texts)[0]->text ?? null) === $typed) {
                return $decision->item;
            }
        }

        return null;
    }

    /** @return array<string, string> */
    private function values(?CourseDocument $document, ?string $item): array
    {
        $lessons = $document === null ? [] : array_values(array_filter($document->readItems(), static fn (DocumentItem $item): bool => $item->isLesson()));
        $title = static fn (int $index): string => isset($lessons[$index]) ? $lessons[$index]->title() : Say::text('pages.notices.preview.a_lesson');
        $tiers = $document?->read()->tiers() ?? [];
        $offer = $document?->readOffers()[0] ?? null;
        $school = ($this->school)();

        return [
            'title' => ($item === null ? null : $document?->readItems()[$item] ?? null)?->title() ?? $title(1),
            'first' => $title(0),
            'course' => $document?->title() ?? Say::text('letters.sample.course'),
            'name' => Say::text('pages.notices_page_builder.eira_holm'),
            'opens' => $this->clock->plain($this->clock->plusDays($this->clock->now(), 6)).', '.$this->clock->zoneName(),
            'tiers' => $tiers === [] ? '' : RuleWords::enumeration($tiers, 'or'),
            'pass' => $offer === null ? '' : $offer->title(),
            'left' => Say::text('pages.notices.preview.left'),
            'offer' => $offer === null ? '' : $offer->title(),
            'offers' => $offer === null ? '' : $offer->title(),
            'price' => '',
            'school' => $school->name,
            'contact' => $school->contact_name ?? '',
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\CourseShelf;
use App\Access\OfferPick;
use App\Access\OutlineRow;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;
use App\Models\Document\DocumentPlace;
use App\Models\NoticeText;
use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Notices\NoticePlace;
use App\Notices\NoticeTexts;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use App\Notices\Placeholders;
use App\Notices\StandingWords;
use App\Pages\Learner\NoticePart;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Words\RuleWords;
use App\Words\Say;

/** Puts together what an administrator sees of notices. */
final readonly class NoticesPageBuilder
{
    public function __construct(private NoticeTexts $texts, private SchoolOf $school, private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    public function page(NoticePlace $place, ?string $open, bool $mayEdit): NoticesPage
    {
        $course = $place->course;
        $document = $course === null ? null : SightlinesPageBuilder::seen($course, RulesVersion::Draft);
        $mine = $this->texts->of($place);
        $texts = $course === null ? [] : $this->texts->within($course);
        $path = $place->item === null ? [] : self::keysUp($document, $place->item);

        return new NoticesPage(
            course: $course?->key,
            title: $course === null ? null : $this->shelf->title($course->id),
            notices: array_map(fn (NoticeCase $case): NoticeRow => $this->row($place, $case, $mine[$case->value] ?? null, $path, $texts), NoticeCase::cases()),
            placeholders: array_map(static fn (string $name): PlaceholderRow => new PlaceholderRow($name, Say::text("cases.placeholders.{$name}")), Placeholders::KNOWN),
            open: (NoticeCase::tryFrom($open ?? '') ?? NoticeCase::Unknown)->value,
            mayEdit: $mayEdit,
            item: $place->item,
            offer: $place->offer,
            rows: $document === null ? [] : array_map(static fn (DocumentPlace $one): OutlineRow => new OutlineRow($one->item->key(), $one->item->title(), $one->item->kind(), $one->depth(), $one->isDraft), iterator_to_array($document->read()->places(), preserve_keys: false)),
            offers: $document === null ? [] : array_map(static fn (DocumentOffer $one): OfferPick => new OfferPick($one->key(), $one->title(), $one->plan()), $document->readOffers()),
        );
    }

    /**
     * @param  ?NoticeText  $mine  the words of this very place
     * @param  list<string>  $path  keys from its item upwards
     * @param  array<string, NoticeText>  $texts  of its course
     */
    private function row(NoticePlace $place, NoticeCase $case, ?NoticeText $mine, array $path, array $texts): NoticeRow
    {
        $standing = match (true) {
            $place->course === null => $mine === null ? [] : [new StandingWords(NoticeLevel::School, $mine, null)],
            default => $this->texts->at($place->course, $path, $place->offer === null ? [] : [$place->offer], $case, $texts),
        };
        $holds = $standing[0] ?? null;
        [$heading, $text] = $case->usual();

        return new NoticeRow(
            case: $case->value,
            who: $case->words(),
            from: ($holds->level ?? NoticeLevel::Usual)->value,
            forOffer: $holds?->text->offer_key !== null,
            way: $holds->text->way ?? 'show',
            heading: $holds->text->heading ?? '',
            text: $holds->text->text ?? '',
            address: $holds->text->address ?? '',
            parts: Part::of($holds?->text),
            version: $mine->version ?? 0,
            usualHeading: $heading,
            usualText: $text,
            canSendToSignIn: $case->canSendToSignIn(),
            status: $case->status(),
        );
    }

    /** @return list<string> */
    private static function keysUp(?CourseDocument $document, string $item): array
    {
        foreach ($document?->read()->places() ?? [] as $place) {
            if ($place->item->key() === $item) {
                return [$item, ...array_map(static fn (DocumentItem $above): string => $above->key(), array_reverse($place->path))];
            }
        }

        return [$item];
    }

    /**
     * With names of the course, or of any, and of nobody in particular.
     *
     * @param  list<Part>  $parts  as they are typed
     */
    public function preview(?Course $course, string $heading, string $text, ?string $item = null, array $parts = []): NoticePreview
    {
        $shown = $course ?? Course::query()->with(['liveRevision', 'draft'])->whereNotNull('live_revision_id')->orderBy('id')->first();
        $document = $shown === null ? null : SightlinesPageBuilder::seen($shown, RulesVersion::Draft);
        $lessons = $document === null ? [] : array_values(array_filter($document->readItems(), static fn (DocumentItem $item): bool => $item->isLesson()));
        $title = static fn (int $index): string => isset($lessons[$index]) ? $lessons[$index]->title() : 'A lesson';
        $tiers = $document?->read()->tiers() ?? [];
        $offer = $document?->readOffers()[0] ?? null;
        $school = ($this->school)();
        $words = new Placeholders([
            'title' => ($item === null ? null : $document?->readItems()[$item] ?? null)?->title() ?? $title(1),
            'first' => $title(0),
            'course' => $document?->title() ?? 'A course',
            'name' => Say::text('pages.notices_page_builder.eira_holm'),
            'opens' => $this->clock->words($this->clock->plusDays($this->clock->minute(), 6)).', '.$this->clock->zoneName(),
            'tiers' => $tiers === [] ? '' : RuleWords::enumeration($tiers, 'or'),
            'pass' => $offer === null ? '' : $offer->title(),
            'school' => $school->name,
            'contact' => $school->contact_name ?? '',
        ]);

        $shown = array_map(static fn (Part $part): NoticePart => match ($part->kind()) {
            PartKind::Text => new NoticePart($part->kind, html: $words->html($part->text)),
            default => new NoticePart($part->kind, label: $words->heading($part->text)),
        }, $parts);
        $typed = [$heading, $text, ...array_map(static fn (Part $part): string => $part->text, $parts)];

        return new NoticePreview($words->heading($heading), $words->html($text), $shown, array_values(array_unique(array_merge(...array_map(Placeholders::unknownIn(...), $typed)))));
    }
}

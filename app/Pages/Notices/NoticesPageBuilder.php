<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\Plans;
use App\Access\Shelf\CourseShelf;
use App\Access\Shelf\OfferPick;
use App\Access\Shelf\OutlineRow;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;
use App\Models\Document\DocumentPlace;
use App\Models\NoticeText;
use App\Models\SharedNotice;
use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Notices\NoticePlace;
use App\Notices\NoticeTexts;
use App\Notices\Parts\Part;
use App\Notices\StandingWords;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\Vantage;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;

/** Puts together what an administrator sees of notices. */
final readonly class NoticesPageBuilder
{
    public function __construct(private NoticeTexts $texts, private CourseShelf $shelf, private Plans $plans, private Vantages $vantages, private VantageWords $words)
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
            placeholders: PlaceholderRow::ofNotices(),
            open: (NoticeCase::tryFrom($open ?? '') ?? NoticeCase::Unknown)->value,
            mayEdit: $mayEdit,
            item: $place->item,
            offer: $place->offer,
            vantages: $course === null ? [] : $this->vantagesOf($course),
            shared: array_values(SharedNotice::query()->whereNotNull('live')->orderBy('name')->get(['id', 'name'])->map(static fn (SharedNotice $one): SharedPick => new SharedPick($one->id, $one->name))->all()),
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
            titled: $holds->text->titled ?? true,
            shared: $holds?->text->shared?->id,
            sharedName: $holds?->text->shared?->name,
            parts: Part::of($holds?->text),
            version: $mine->version ?? 0,
            usualHeading: $heading,
            usualText: $text,
            canSendToSignIn: $case->canSendToSignIn(),
            status: $case->status(),
        );
    }

    /** @return list<Vantage> as whom it can be looked at */
    private function vantagesOf(Course $course): array
    {
        $decider = $this->plans->of(SightlinesPageBuilder::seen($course, RulesVersion::Draft));
        $points = [VantagePoint::visitor(), VantagePoint::member(), ...array_slice($this->vantages->usual($decider), 1)];

        return array_map(fn (SeenFrom $seen): Vantage => $this->words->of($seen, $decider), $this->vantages->stand($course, $decider, $points));
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
}

<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\CourseShelf;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Models\Course;
use App\Models\Document\DocumentItem;
use App\Notices\NoticeCase;
use App\Notices\NoticeTexts;
use App\Notices\Placeholders;
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

    public function page(?Course $course, ?string $open, bool $mayEdit): NoticesPage
    {
        $school = $this->texts->of(null);
        $own = $course === null ? $school : $this->texts->of($course);
        $row = static function (NoticeCase $case) use ($course, $own, $school): NoticeRow {
            $mine = $own[$case->value] ?? null;
            $holds = $mine ?? $school[$case->value] ?? null;
            [$heading, $text] = $case->usual();

            return new NoticeRow(
                case: $case->value,
                who: $case->words(),
                from: $mine !== null ? ($course === null ? 'school' : 'course') : ($holds === null ? 'usual' : 'school'),
                way: $holds->way ?? 'show',
                heading: $holds->heading ?? '',
                text: $holds->text ?? '',
                address: $holds->address ?? '',
                version: $mine->version ?? 0,
                usualHeading: $heading,
                usualText: $text,
                canSendToSignIn: $case->canSendToSignIn(),
                status: $case->status(),
            );
        };

        return new NoticesPage(
            $course?->key,
            $course === null ? null : $this->shelf->title($course->id),
            array_map($row, NoticeCase::cases()),
            array_map(static fn (string $name): PlaceholderRow => new PlaceholderRow($name, Say::text("cases.placeholders.{$name}")), Placeholders::KNOWN),
            (NoticeCase::tryFrom($open ?? '') ?? NoticeCase::Unknown)->value,
            $mayEdit,
        );
    }

    /** With names of the course, or of any, and of nobody in particular. */
    public function preview(?Course $course, string $heading, string $text): NoticePreview
    {
        $shown = $course ?? Course::query()->with(['liveRevision', 'draft'])->whereNotNull('live_revision_id')->orderBy('id')->first();
        $document = $shown === null ? null : SightlinesPageBuilder::seen($shown, RulesVersion::Draft);
        $lessons = $document === null ? [] : array_values(array_filter($document->readItems(), static fn (DocumentItem $item): bool => $item->isLesson()));
        $title = static fn (int $index): string => isset($lessons[$index]) ? $lessons[$index]->title() : 'A lesson';
        $tiers = $document?->read()->tiers() ?? [];
        $offer = $document?->readOffers()[0] ?? null;
        $school = ($this->school)();
        $words = new Placeholders([
            'title' => $title(1),
            'first' => $title(0),
            'course' => $document?->title() ?? 'A course',
            'name' => Say::text('pages.notices_page_builder.eira_holm'),
            'opens' => $this->clock->words($this->clock->plusDays($this->clock->minute(), 6)).', '.$this->clock->zoneName(),
            'tiers' => $tiers === [] ? '' : RuleWords::enumeration($tiers, 'or'),
            'pass' => $offer === null ? '' : $offer->title(),
            'school' => $school->name,
            'contact' => $school->contact_name ?? '',
        ]);

        return new NoticePreview($words->heading($heading), $words->html($text), array_values(array_unique([...Placeholders::unknownIn($heading), ...Placeholders::unknownIn($text)])));
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\Course;
use App\Models\NoticeText;
use App\Models\Offer;
use App\Models\SharedNotice;
use App\Notices\NoticeCase;
use App\Notices\Parts\Part;
use App\Notices\Shared\SharedDoor;
use App\Notices\Shared\SharedUse;
use App\Notices\Shared\SharedUses;
use App\Words\Say;

/** Puts together what an administrator sees of notices that many doors share. */
final readonly class SharedNoticesBuilder
{
    /** Doors that are named. */
    private const NAMED = 50;

    /** Words that are offered to be copied. */
    private const COPIED = 200;

    public function __construct(private SharedUses $uses, private CourseShelf $shelf, private SchoolClock $clock)
    {
    }

    public function index(bool $mayEdit): SharedNoticesPage
    {
        $uses = $this->uses->all();
        $doors = $this->uses->doors();

        return new SharedNoticesPage(array_values(SharedNotice::query()->orderBy('name')->get()->map(function (SharedNotice $notice) use ($uses, $doors): SharedRow {
            $here = $uses[$notice->id] ?? [];

            return new SharedRow($notice->id, $notice->name, $notice->live !== null, $notice->draft !== null, count($here),
                array_values(array_unique(array_map(fn (SharedUse $use): string => $this->title($use->courseId), $here))),
                array_sum(array_map(static fn (SharedDoor $door): int => $door->met, $doors[$notice->id] ?? [])));
        })->all()), $mayEdit);
    }

    public function page(SharedNotice $notice, bool $mayEdit): SharedNoticePage
    {
        $uses = $this->uses->all()[$notice->id] ?? [];
        $doors = $this->uses->doors()[$notice->id] ?? [];
        $words = $notice->draft ?? $notice->live ?? ['heading' => '', 'titled' => true, 'text' => '', 'parts' => null];
        $offers = Offer::query()->whereIn('key', array_filter(array_map(static fn (SharedUse $use): ?string => $use->offer, $uses)))->pluck('name', 'key');
        $row = fn (?int $course, ?string $item, ?string $offer, string $case, ?int $met): SharedPlaceRow => new SharedPlaceRow(
            $course === null ? null : ($this->shelf->course($course) ?? Course::query()->find($course))?->key,
            $item === null ? $this->title($course) : "{$this->title($course)}, {$this->shelf->itemTitle((int) $course, $item)}",
            $item, $offer, $offer === null ? null : Value::text($offers[$offer] ?? $offer), $case, NoticeCase::from($case)->words(), $met,
        );

        return new SharedNoticePage(
            id: $notice->id,
            name: $notice->name,
            version: $notice->version,
            heading: $words['heading'],
            titled: $words['titled'],
            text: $words['text'],
            parts: Part::of(new NoticeText(['parts' => $words['parts']])),
            isLive: $notice->live !== null,
            isDrafted: $notice->draft !== null,
            published: $notice->published_at === null ? null : $this->clock->words($notice->published_at->getTimestamp()),
            places: array_map(static fn (SharedUse $use): SharedPlaceRow => $row($use->courseId, $use->item, $use->offer, $use->case, null), $uses),
            doors: array_map(static fn (SharedDoor $door): SharedPlaceRow => $row($door->courseId, $door->item, null, $door->case, $door->met), array_slice($doors, 0, self::NAMED)),
            more: max(0, count($doors) - self::NAMED),
            met: array_sum(array_map(static fn (SharedDoor $door): int => $door->met, $doors)),
            courses: count(array_unique(array_map(static fn (SharedUse $use): int => $use->courseId ?? 0, $uses))),
            placeholders: PlaceholderRow::ofNotices(),
            mayEdit: $mayEdit,
        );
    }

    /** @return list<CopiedNotice> words that stand anywhere in the school, to be copied from */
    public function copies(): array
    {
        $copies = [];
        foreach (SharedNotice::query()->orderBy('name')->limit(self::COPIED)->get() as $shared) {
            $words = $shared->draft ?? $shared->live;
            $copies[] = new CopiedNotice("shared:{$shared->id}", Say::text('pages.notices.copy.shared', ['name' => $shared->name]), $words['heading'] ?? '', $words['text'] ?? '', Part::of(new NoticeText(['parts' => $words['parts'] ?? null])));
        }
        foreach (NoticeText::query()->where('way', 'show')->orderByDesc('updated_at')->limit(self::COPIED)->get() as $text) {
            $at = $text->item_key === null || $text->course_id === null ? $this->title($text->course_id) : "{$this->title($text->course_id)}, {$this->shelf->itemTitle($text->course_id, $text->item_key)}";
            $copies[] = new CopiedNotice("own:{$text->id}", Say::text('pages.notices.copy.own', ['at' => $at, 'who' => NoticeCase::tryFrom($text->case)?->words() ?? $text->case, 'tied' => $text->offer_key === null ? 'no' : 'yes', 'offer' => $text->offer_key ?? '']), $text->heading, $text->text, Part::of($text));
        }

        return $copies;
    }

    private function title(?int $course): string
    {
        return $course === null ? Say::text('pages.notices.shared.whole_school') : ($this->shelf->title($course) ?: Value::text(Course::query()->whereKey($course)->value('key')));
    }
}

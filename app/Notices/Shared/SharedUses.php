<?php

declare(strict_types=1);

namespace App\Notices\Shared;

use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\Document\DocumentItem;
use App\Models\NoticeMeeting;
use App\Models\NoticeText;
use App\Notices\Met\Meetings;
use App\Notices\NoticeCase;
use App\Notices\NoticeTexts;
use Psr\Clock\ClockInterface;

/** Where shared notices stand, and how often they were met there. */
final readonly class SharedUses
{
    public function __construct(private CourseShelf $shelf, private NoticeTexts $texts, private ClockInterface $clock)
    {
    }

    /** @return array<int, list<SharedUse>> by the number of the notice: one query for all */
    public function all(): array
    {
        $uses = [];
        foreach (NoticeText::query()->whereNotNull('shared_id')->orderBy('course_id')->orderBy('id')->get() as $text) {
            $uses[(int) $text->shared_id][] = new SharedUse($text->course_id, $text->item_key, $text->offer_key, $text->case);
        }

        return $uses;
    }

    /**
     * The closed doors that were met in the last thirty days with just these words, those met most often first. Where its words
     * are for the holders of an offer alone, it is not known which pass they held who met the door: those doors are not among them.
     *
     * @return array<int, list<SharedDoor>> by the number of the notice: as many queries for all as for one
     */
    public function doors(): array
    {
        $since = gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() - Meetings::DAYS * 86400);
        $met = NoticeMeeting::query()->whereIn('case', NoticeText::query()->whereNotNull('shared_id')->select('case'))->where('met_at', '>', $since)
            ->toBase()->groupBy('course_id', 'item_key', 'case')->selectRaw('course_id, item_key, "case", count(*) as met')->get();
        $texts = $met->isEmpty() ? [] : $this->texts->everywhere();
        $doors = $stands = [];
        foreach ($met as $row) {
            $door = new SharedDoor(Value::int($row->course_id), Value::text($row->item_key), Value::text($row->case), Value::int($row->met));
            $stands[$door->courseId] ??= $this->where($door->courseId, $texts);
            $notice = ($stands[$door->courseId])($door);
            $notice === null ? null : $doors[$notice][] = $door;
        }
        foreach ($doors as &$some) {
            usort($some, static fn (SharedDoor $a, SharedDoor $b): int => [$b->met, $a->courseId, $a->item] <=> [$a->met, $b->courseId, $b->item]);
        }

        return $doors;
    }

    /**
     * @param  array<string, NoticeText>  $texts  of the whole school
     * @return \Closure(SharedDoor): ?int the shared notice that stands at a door of a course, to whoever holds no pass that has words of its own
     */
    private function where(int $id, array $texts): \Closure
    {
        [$course, $document] = [$this->shelf->course($id), $this->shelf->document($id)];
        if ($course === null || $document === null) {
            return static fn (): ?int => null;
        }
        $paths = [];
        foreach ($document->read()->places() as $place) {
            $paths[$place->item->key()] = [$place->item->key(), ...array_map(static fn (DocumentItem $above): string => $above->key(), array_reverse($place->path))];
        }

        return function (SharedDoor $door) use ($course, $paths, $texts): ?int {
            $case = NoticeCase::tryFrom($door->case);

            return $case === null || ! isset($paths[$door->item]) ? null : $this->texts->at($course, $paths[$door->item], [], $case, $texts)[0]->text->shared_id ?? null;
        };
    }
}

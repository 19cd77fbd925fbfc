<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use App\Models\Course;
use App\Models\Medium;
use App\Models\Person;
use App\Models\WatchRecord;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Watching\Watch;

/** Notes that somebody has opened a lesson whose video is to be watched: from then on time counts. */
final readonly class OpenWatch
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** The video of an item: the first it has. Null where it has none that could be watched. */
    public function ofItem(Person $person, Course $course, string $item): ?WatchRecord
    {
        $video = Medium::query()->where('course_id', $course->id)->where('item_key', $item)->where('kind', 'video')->orderBy('position')->orderBy('id')->first();

        return $video === null ? null : $this($person, $video);
    }

    public function __invoke(Person $person, Medium $medium): ?WatchRecord
    {
        if ($medium->seconds === null || $medium->seconds <= 0) {
            return null;
        }
        $now = $this->clock->now()->getTimestamp();
        $record = WatchRecord::query()->firstOrCreate(
            ['person_id' => $person->id, 'medium_id' => $medium->id],
            ['course_id' => $medium->course_id, 'item_key' => $medium->item_key, 'length' => $medium->seconds, 'played' => '', 'spare' => Watch::MARGIN, 'heard_at' => $now],
        );
        if ($now - $record->heard_at->getTimestamp() > Watching::AWAY) {
            Watching::record(Watching::of($record)->reopened($now), $record);
        }

        return $record;
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Models\Course;
use App\Models\DayVisit;
use App\Models\Person;
use App\Notices\NoticeCase;
use App\Words\Sentence;

/** What somebody looked at, and which closed doors they met, day by day. One query. */
final readonly class SeenTurns
{
    /** The last of them, where somebody has looked at very much. */
    private const MOST = 1000;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    /**
     * @param  array<array-key, int>  $places  of the rows, by key
     * @param  ?int  $from  the instant with which their story begins; null: there is none to be told of
     * @return list<PastTurn>
     */
    public function of(Person $person, ?Course $course, array $places, ?int $from): array
    {
        if ($course === null || $from === null) {
            return [];
        }
        $turns = [];
        foreach (DayVisit::query()->where('person_id', $person->id)->where('course_id', $course->id)->where('first_at', '>=', gmdate('Y-m-d H:i:s', $from))->orderByDesc('first_at')->orderByDesc('id')->limit(self::MOST)->get() as $visit) {
            $at = $visit->first_at->getTimestamp();
            $turns[] = new PastTurn($at, $this->clock->words($at), [new PastLine($this->words($course, $visit), null)], [], [], [], isset($places[$visit->item_key]) ? [$places[$visit->item_key]] : []);
        }

        return $turns;
    }

    private function words(Course $course, DayVisit $visit): Sentence
    {
        $title = ['title' => $this->shelf->itemTitle($course->id, $visit->item_key)];
        $case = NoticeCase::tryFrom($visit->met);

        return $case === null ? Sentence::say('past_told.seen', ['times' => $visit->times], $title) : Sentence::say('past_told.met', ['times' => $visit->times, 'case' => lcfirst($case->words())], $title);
    }
}

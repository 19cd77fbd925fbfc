<?php

declare(strict_types=1);

namespace App\Pages\Learner\Closed;

use App\Access\Answer;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Models\Course;
use App\Notices\NoticeCase;
use App\Notices\NoticeTexts;
use App\Notices\Placeholders;
use App\Pages\Learner\FrontPageBuilder;
use App\Pages\Learner\OtherCourse;
use App\Words\Say;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Outline\CourseState;

/** Says that a course is over, in the school's own words where it has some. */
final readonly class ClosingWordsBuilder
{
    public function __construct(private NoticeTexts $notices, private SchoolOf $school, private SchoolClock $clock, private FrontPageBuilder $front)
    {
    }

    /** Null where the course goes on, also for one who keeps it after it was retired. */
    public function of(Course $course, Answer $answer): ?ClosingWords
    {
        $gate = $answer->snapshot()->gate;
        $rules = $answer->decider->course;
        if (! $answer->isOver()) {
            return null;
        }
        $own = $this->notices->at($course, [], [], $gate === Reason::CourseOver ? NoticeCase::CourseOver : NoticeCase::CourseRetired)[0]->text ?? null;
        $school = ($this->school)();
        $title = $rules->title ?? $rules->key;

        return new ClosingWords(
            $rules->state === CourseState::Retired || $rules->closes === null ? Say::text('learner.terms.retired') : Say::text('learner.terms.over', ['at' => $this->clock->date($rules->closes)]),
            $own === null || $own->text === '' ? null : (new Placeholders([
                'course' => $title, 'title' => $title, 'school' => $school->name, 'contact' => $school->contact_name ?? '', 'name' => '', 'pass' => '',
            ]))->html($own->text),
            self::signUp($course, $answer),
            $this->front->insteadOf($course),
            $school->contact_name,
            $school->contact_email,
        );
    }

    /** @return list<OtherCourse> where a course is over: where to go instead */
    public function instead(Course $course, Answer $answer): array
    {
        return $answer->isOver() ? $this->front->insteadOf($course) : [];
    }

    /** @return 'none'|'form'|'account' */
    public static function signUp(Course $course, Answer $answer): string
    {
        return match (true) {
            ! $answer->isOver() || ! $course->takes_next_run || $answer->viewer->staff => 'none',
            $answer->viewer->signedIn => 'account',
            default => 'form',
        };
    }
}

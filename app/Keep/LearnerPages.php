<?php

declare(strict_types=1);

namespace App\Keep;

use App\Http\Pages\Learner\CoursePage;
use App\Http\Pages\Learner\LessonPage;
use App\Http\Pages\Learner\NoticePage;
use App\Keep\Views\Glyph;
use App\Keep\Views\LearnerView;
use App\Models\Course;
use SilentKeep\Core\Deciding\State;

/** The pages of a course as its viewer meets them: to be shown to themselves, or to somebody who stands in for them. */
final readonly class LearnerPages
{
    public function __construct(private LessonText $text, private SchoolOf $school, private Shop $shop)
    {
    }

    /** Null where nothing at all is to be seen. */
    public function course(Course $course, LearnerView $view): ?CoursePage
    {
        return $view->isVisible() ? new CoursePage($view->frame(), $view->nextStep(), $view->isInside() ? [] : $this->shop->offersOf($view->decider(), $view->viewer(), $course)) : null;
    }

    /**
     * The item, or the notice that stands in its place; null where it is hidden or not there.
     *
     * @param  ?string  $signIn  where to sign in and come back, for those who have not
     */
    public function item(Course $course, LearnerView $view, string $item, ?string $signIn): LessonPage|NoticePage|null
    {
        $decision = $view->decision($item);
        $row = $view->rowOf($item);
        if ($decision === null || $row === null) {
            return null;
        }
        if ($decision->state === State::Open) {
            return new LessonPage($view->frame(), $row, $this->text->html($course, $decision), $view->finishableBy($item)->value ?? 'none', $view->nextStep($item) ?? $view->nextStep());
        }
        $notice = $view->notice($decision);
        $school = ($this->school)();

        return new NoticePage(
            $view->frame(),
            $item,
            Glyph::of($decision)->value,
            $notice->heading,
            $notice->text,
            $signIn,
            $school->contact_name,
            $school->contact_email,
            $view->nextStep() ?? $view->somethingOpen(),
            // Whoever looks with somebody buys nothing by it.
            $view->viewer()->observes === null ? $this->shop->waysTo($view->decider(), $view->viewer(), $course, $item) : [],
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use App\Access\NewPasses;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Models\Offer;
use App\People\Acts\CannotAct;
use App\People\Acts\GrantItem;
use App\People\Acts\JoinList;
use App\People\Acts\Passes\EndPass;
use App\People\Acts\Passes\ExtendPass;
use App\People\Acts\Passes\GivePass;
use App\People\Acts\Passes\PausePass;
use App\People\Acts\PeopleAct;
use App\People\Acts\SetLabel;
use App\People\Acts\WriteTo;
use App\People\PassRows;
use App\School\Letters\WriteLetters;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\StepKind;
use App\Words\Say;

/** Makes acts on people of what a trigger does: the same that somebody would do by hand, with the same history and the same undo. */
final readonly class StepActs
{
    public function __construct(private NewPasses $newPasses, private SchoolClock $clock, private CourseShelf $shelf, private WriteLetters $write)
    {
    }

    /**
     * @param  string  $by  name of the trigger
     *
     * @throws CannotAct if something it names is not there any more
     */
    public function of(Step $step, string $by): PeopleAct
    {
        $until = $step->days === null ? null : $this->clock->plusDays($this->clock->now(), $step->days);

        return match ($step->kind()) {
            StepKind::GivePass => new GivePass($this->newPasses, $this->clock, self::offer($step), $this->clock->now(), source: Say::text('triggers.by', ['name' => $by])),
            StepKind::HandOut => $this->handOut($step, $until),
            StepKind::GiveLabel => new SetLabel($this->clock, (string) $step->label, has: true, until: $until, source: Say::text('triggers.by', ['name' => $by])),
            StepKind::TakeLabel => new SetLabel($this->clock, (string) $step->label, has: false),
            StepKind::ExtendPass => new ExtendPass(PassRows::offer(self::offer($step)), $this->clock, max(1, (int) $step->days)),
            StepKind::PausePass => new PausePass(PassRows::offer(self::offer($step)), $this->clock, clockStops: true),
            StepKind::EndPass => new EndPass(PassRows::offer(self::offer($step)), $this->clock),
            StepKind::JoinList => new JoinList($this->clock, (string) $step->label, Say::text('triggers.by', ['name' => $by])),
            // No act on people: whoever does the step tells.
            StepKind::Tell => throw new CannotAct(Say::text('triggers.gone.outside')),
            StepKind::Write => new WriteTo($this->write, (string) $step->subject, (string) $step->body),
        };
    }

    private static function offer(Step $step): Offer
    {
        return Offer::query()->with('course.liveRevision')->where('key', $step->offer)->first() ?? throw new CannotAct(Say::text('triggers.gone.offer', ['key' => (string) $step->offer]));
    }

    private function handOut(Step $step, ?int $until): GrantItem
    {
        $course = $this->shelf->byKey((string) $step->course);
        if ($course === null || ! isset($this->shelf->document($course->id)?->readItems()[$step->item])) {
            throw new CannotAct(Say::text('triggers.gone.item', ['key' => (string) $step->item]));
        }

        return new GrantItem($this->clock, $course, (string) $step->item, $this->shelf->itemTitle($course->id, (string) $step->item), $until);
    }
}

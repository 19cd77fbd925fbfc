<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\NewPasses;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Learning\Quizzes\QuizRules;
use App\Models\Content;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Person;
use App\People\Acts\Passes\BeginPass;
use App\People\Acts\Passes\ChangeOffer;
use App\People\Acts\Passes\EndPass;
use App\People\Acts\Passes\ExtendPass;
use App\People\Acts\Passes\GivePass;
use App\People\Acts\Passes\PausePass;
use App\People\Acts\Passes\ResumePass;
use App\People\Acts\Passes\WithdrawPass;
use App\People\ObserverLetters;
use App\People\PassRows;
use App\School\Letters\WriteLetters;
use App\Words\RuleWords;
use App\Words\Say;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;

/** Makes acts of what a form says. */
final readonly class PeopleActs
{
    public const KINDS = ['give', 'extend', 'begin', 'pause', 'resume', 'end', 'withdraw', 'give-back', 'change', 'grant', 'take-back', 'finish', 'try', 'label', 'unlabel', 'observe', 'unobserve', 'write'];

    public function __construct(private NewPasses $newPasses, private SchoolClock $clock, private CourseShelf $shelf, private ObserverLetters $observerLetters, private WriteLetters $write)
    {
    }

    /**
     * @param  array<string, mixed>  $form  validated in shape
     * @param  ?int  $now  the instant that it is done at, where that is not now
     *
     * @throws CannotAct if something it names is not there
     */
    public function of(array $form, Person $actor, ?int $now = null): PeopleAct
    {
        if ($now !== null) {
            return (new self($this->newPasses, $this->clock->stoppedAt($now), $this->shelf, $this->observerLetters, $this->write))->of($form, $actor);
        }
        $text = static fn (string $key): string => is_string($form[$key] ?? null) ? trim($form[$key]) : '';
        $number = static fn (string $key): int => is_numeric($form[$key] ?? null) ? (int) $form[$key] : 0;
        $instant = fn (string $key): ?int => $text($key) === '' ? null : ($this->instant($text($key)) ?? throw new CannotAct(Say::text('acts.people_acts.not_date_and_time'), $key));
        $passes = fn (): PassRows => $number('pass') > 0 ? PassRows::pass($number('pass')) : PassRows::offer($this->offer($text('offer')));

        return match ($text('do')) {
            'give' => new GivePass($this->newPasses, $this->clock, $this->offer($text('offer')), $instant('from') ?? $this->clock->now(), ($form['anew'] ?? false) === true, giver: $actor),
            'extend' => new ExtendPass($passes(), $this->clock, max(1, $number('days')), ($form['good'] ?? false) === true ? Instant::NEVER : $instant('until')),
            'begin' => new BeginPass($passes(), $this->clock),
            'pause' => new PausePass($passes(), $this->clock, ($form['stops'] ?? false) === true),
            'resume' => new ResumePass($passes(), $this->clock),
            'end' => new EndPass($passes(), $this->clock),
            'withdraw' => new WithdrawPass($passes(), $this->clock, givesBack: false),
            'give-back' => new WithdrawPass($passes(), $this->clock, givesBack: true),
            'change' => new ChangeOffer(PassRows::pass($number('pass')), $this->clock, $this->offer($text('offer'))),
            'grant' => $this->grant($text('course'), $text('item'), $instant('until')),
            'take-back' => $number('grant') > 0 ? TakeBackGrant::one($this->clock, $number('grant')) : $this->takeBack($text('course'), $text('item')),
            'finish' => $this->finish($text('course'), $text('item') === '' ? Value::texts(is_array($form['items'] ?? null) ? $form['items'] : []) : [$text('item')], $text('note')),
            'try' => $this->try($text('course'), $text('item')),
            'label' => new SetLabel($this->clock, $text('label'), has: true, until: $instant('until')),
            'unlabel' => new SetLabel($this->clock, $text('label'), has: false),
            'observe', 'unobserve' => new TieObserver($this->clock, $this->observerLetters, Person::query()->find($number('observer')) ?? throw new CannotAct(Say::text('acts.people_acts.that_person_not_there'), 'observer'), $text('do') === 'observe'),
            'write' => new WriteTo($this->write, $text('subject'), $text('body')),
            default => throw new CannotAct(Say::text('acts.people_acts.there_nothing_that_kind')),
        };
    }

    /** A wall-clock time of the school, as pages have it, or an instant with its offset. */
    private function instant(string $text): ?int
    {
        try {
            return $this->clock->instant($text) ?? Instant::parse($text);
        } catch (InvalidTime) {
            return null;
        }
    }

    private function offer(string $key): Offer
    {
        return Offer::query()->with('course.liveRevision')->where('key', $key)->first() ?? throw new CannotAct(Say::text('acts.people_acts.please_choose_an_offer'), 'offer');
    }

    /** Also what is published no longer: it can still be somebody's. */
    private function takeBack(string $courseKey, string $item): TakeBackGrant
    {
        $course = Course::query()->where('key', $courseKey)->first() ?? throw new CannotAct(Say::text('acts.people_acts.that_course_not_there'), 'item');

        return TakeBackGrant::ofRow($this->clock, $course->id, $item, $this->shelf->itemTitle($course->id, $item));
    }

    private function try(string $courseKey, string $item): GiveTry
    {
        $course = Course::query()->where('key', $courseKey)->first() ?? throw new CannotAct(Say::text('acts.people_acts.that_course_not_there'), 'item');
        $content = Content::query()->where('course_id', $course->id)->where('item_key', $item)->first();
        if ($content === null || $content->quiz === []) {
            throw new CannotAct(Say::text('acts.give_try.no_quiz'), 'item');
        }

        return new GiveTry($this->clock, $course, $item, $this->shelf->itemTitle($course->id, $item), QuizRules::of($content->quiz_rules));
    }

    /** @param  list<string>  $items */
    private function finish(string $courseKey, array $items, string $note): FinishItem
    {
        $course = Course::query()->where('key', $courseKey)->first() ?? throw new CannotAct(Say::text('acts.people_acts.that_course_not_there'), 'item');
        $document = $this->shelf->document($course->id);
        $keys = [];
        foreach ($items as $item) {
            $inside = $document?->toFinish($item) ?? [];
            if ($inside === []) {
                throw new CannotAct(Say::text('acts.finish_item.nothing_to_finish'), 'item');
            }
            array_push($keys, ...$inside);
        }
        $title = RuleWords::enumeration(array_map(fn (string $item): string => $this->shelf->itemTitle($course->id, $item), $items), 'and');

        return new FinishItem($this->clock, $course, $items, $title, array_values(array_unique($keys)), $note);
    }

    private function grant(string $courseKey, string $item, ?int $until): GrantItem
    {
        $course = Course::query()->where('key', $courseKey)->first() ?? throw new CannotAct(Say::text('acts.people_acts.that_course_not_there'), 'item');
        $document = $this->shelf->document($course->id);
        if ($document === null || ! isset($document->readItems()[$item])) {
            throw new CannotAct(Say::text('acts.people_acts.that_row_not_published'), 'item');
        }

        return new GrantItem($this->clock, $course, $item, $this->shelf->itemTitle($course->id, $item), $until);
    }
}

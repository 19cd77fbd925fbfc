<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\LetterChoice;
use App\Models\Pass;
use App\Models\Person;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\School\Letters\SettledLetter;
use App\Words\Say;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Viewing\Viewer;

/** A digest for those who have asked for it: the lessons that have opened to them since the one before. */
final readonly class OpenedToday implements DueLetter
{
    private const GROUP = 100;

    public function __construct(private SchoolClock $clock, private Plans $plans, private Viewers $viewers, private InTheirLanguage $language)
    {
    }

    public function due(SettledLetter $settled): iterable
    {
        $until = $this->hourOf($settled->hour ?? 0);
        if ($until > $this->clock->now()) {
            return;
        }
        $asked = LetterChoice::query()->where('kind', LetterKind::OpenedToday->value)->where('wanted', true)->where(static fn (Builder $query) => $query->whereNull('told_until')->orWhere('told_until', '<', NotYetWritten::stamp($until)));
        do {
            $some = (clone $asked)->orderBy('id')->limit(self::GROUP)->get();
            yield $this->letters(Person::query()->whereKey($some->pluck('person_id')->all())->tap(NotYetWritten::readers(...))->get(), $some->keyBy('person_id')->map(fn (LetterChoice $choice): int => $this->from($choice, $until))->all(), $until);
            // Whether anything had opened to them or not: that day is told.
            LetterChoice::query()->whereKey($some->modelKeys())->update(['told_until' => NotYetWritten::stamp($until)]);
        } while ($some->count() === self::GROUP);
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  array<array-key, int>  $from  by person
     * @return list<LetterTo>
     */
    private function letters(Collection $people, array $from, int $until): array
    {
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->whereIn('id', Pass::query()->whereIn('person_id', $people->modelKeys())->select('course_id'))->orderBy('id')->get();
        $viewers = $this->viewers->ofAll($people->toBase(), $courses->toBase());
        $letters = [];
        foreach ($people as $person) {
            $lines = [];
            foreach ($courses as $course) {
                $viewer = $viewers[$person->id][$course->id];
                array_push($lines, ...($viewer->passes === [] && $viewer->grants === [] ? [] : $this->opened($course, $viewer, $from[$person->id], $until)));
            }
            if ($lines !== []) {
                $letters[] = $this->language->say($person, fn (): LetterTo => LetterTo::person($person, ['day' => $this->clock->words($until), 'lines' => implode("\n", $lines), 'address' => SchoolAddress::of('courses', [])], "opened-today {$person->id} ".substr($this->clock->wall($until), 0, 10)));
            }
        }

        return $letters;
    }

    /** @return list<string> the course and beneath it what has opened; none where nothing has */
    private function opened(Course $course, Viewer $viewer, int $from, int $until): array
    {
        $decider = $this->plans->live($course);
        if ($decider === null) {
            return [];
        }
        [$before, $after] = [$this->plans->ask($decider, $viewer, $from), $this->plans->ask($decider, $viewer, $until)];
        $outline = $decider->course->outline;
        $lines = [];
        foreach ($outline->items as $position => $item) {
            if ($outline->isPublishedLesson($position) && $before->state($position) !== State::Open && $after->state($position) === State::Open) {
                $lines[] = Say::text('letters.opened_line', ['title' => $item->title ?? $item->key, 'address' => SchoolAddress::of('lesson', ['course' => $course->getRouteKey(), 'item' => $item->key])]);
            }
        }

        return $lines === [] ? [] : [$decider->course->title ?? $course->key, ...$lines];
    }

    /** Since the last that they were told; where that is long ago, or never was, since the day before, or the week. */
    private function from(LetterChoice $choice, int $until): int
    {
        return max($choice->told_until?->getTimestamp() ?? $this->clock->plusDays($until, -1), $this->clock->plusDays($until, -7));
    }

    /** The instant of that hour today, by the wall clock of the school. */
    private function hourOf(int $hour): int
    {
        $now = $this->clock->now();

        return $this->clock->instant(substr($this->clock->wall($now), 0, 10).sprintf('T%02d:00', $hour)) ?? $now;
    }
}

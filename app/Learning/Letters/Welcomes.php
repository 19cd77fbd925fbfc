<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Models\Pass;
use App\Models\Person;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\School\Letters\SettledLetter;
use App\School\Letters\WelcomeNewcomer;

/** To whoever is new: once they have shown that the address is theirs. */
final readonly class Welcomes implements DueLetter
{
    /** Days after which nobody is new any more: as long as the link that they were sent works. */
    private const DAYS = 14;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    public function due(SettledLetter $settled): iterable
    {
        $since = max($settled->since, $this->clock->plusDays($this->clock->now(), -self::DAYS));
        $new = Person::query()->tap(NotYetWritten::readers(...))->where('created_at', '>=', NotYetWritten::stamp($since));
        foreach (NotYetWritten::of(LetterKind::Welcome, $new->lazyById(NotYetWritten::GROUP), WelcomeNewcomer::once(...), static fn (Person $person): int => $person->id) as $people) {
            $courses = [];
            foreach (Pass::query()->whereIn('person_id', $people->pluck('id')->all())->where('state', 'active')->orderBy('id')->get(['person_id', 'course_id']) as $pass) {
                $courses[$pass->person_id][$pass->course_id] = $this->shelf->title($pass->course_id);
            }
            yield array_values($people->map(fn (Person $person): LetterTo => LetterTo::person($person, [
                'courses' => implode("\n", array_map(static fn (string $title): string => "  {$title}", $courses[$person->id] ?? [])),
                'address' => SchoolAddress::of('courses', []),
            ], WelcomeNewcomer::once($person)))->all());
        }
    }
}

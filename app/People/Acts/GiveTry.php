<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Learning\Quizzes\QuizRules;
use App\Learning\Quizzes\Tried;
use App\Models\Course;
use App\Models\Person;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Gives people one more try at a quiz, to be taken without waiting. Whoever can try it as things are is left as they are. */
final readonly class GiveTry implements PeopleAct
{
    public function __construct(private SchoolClock $clock, private Course $course, private string $item, private string $title, private QuizRules $rules)
    {
    }

    public function name(): string
    {
        return 'quiz.try-given';
    }

    public function told(): string
    {
        return Say::text('acts.give_try.told', ['title' => $this->title]);
    }

    public function isHelp(): bool
    {
        return true;
    }

    public function canBeUndone(): bool
    {
        return true;
    }

    public function steps(Collection $people): array
    {
        $tried = Tried::byMany(array_values($people->map(static fn (Person $person): int => $person->id)->all()), $this->course->id, $this->item, $this->rules);

        return array_values($people->map(fn (Person $person): ActStep => $this->step($person, $tried[$person->id]))->all());
    }

    private function step(Person $person, Tried $tried): ActStep
    {
        $now = $this->clock->now();
        $next = $tried->next();
        if ($tried->tries->isEmpty()) {
            return new ActStep($person->id, Say::text('acts.give_try.not_tried'));
        }
        if ($next !== null && $next <= $now) {
            return new ActStep($person->id, Say::text('acts.give_try.can'));
        }

        return new ActStep($person->id, Say::text('acts.give_try.get_one'), [RowChange::made('given_tries', [
            'person_id' => $person->id, 'course_id' => $this->course->id, 'item_key' => $this->item, 'tried' => $tried->tries->count(), 'given_at' => gmdate('Y-m-d H:i:s', $now),
        ])], [], ['item' => $this->item], $this->course->id);
    }
}

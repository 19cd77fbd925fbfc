<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Rows\AccessRows;
use App\Access\ViewerRows;
use App\Models\Role;
use SilentKeep\Core\Viewing\Viewer;

/** The rows of which viewers are made, as they were at a moment. */
final readonly class PastRows implements AccessRows
{
    public function __construct(private Facts $facts, private PastSchool $school)
    {
    }

    public function labels(array $people): iterable
    {
        foreach ($this->of('labels', $people) as $label) {
            yield [$label->person, $label->text('label'), $label->instant('starts_at'), $label->instant('ends_at')];
        }
    }

    public function passes(array $people, array $courses): iterable
    {
        foreach ($this->of('passes', $people) as $pass) {
            $offer = $this->school->offer((int) $pass->intOrNull('offer_id'));
            if ($offer !== null && (in_array($pass->course, $courses, true) || $offer[1] !== '[]')) {
                yield [$pass->person, $pass->row, $pass->course, $pass->text('state'), $pass->instant('starts_at'), $pass->instant('ends_at'), $pass->instant('paced_from'), ...$offer];
            }
        }
    }

    public function grants(array $people, array $courses): iterable
    {
        foreach ($this->of('grants', $people) as $grant) {
            if (in_array($grant->course, $courses, true)) {
                yield [$grant->person, $grant->course, $grant->text('item_key'), $grant->instant('starts_at'), $grant->instant('ends_at')];
            }
        }
    }

    public function done(array $people, array $courses): array
    {
        $done = [];
        foreach ($this->of('completions', $people) as $completion) {
            if (in_array($completion->course, $courses, true)) {
                $done[(int) $completion->person][(int) $completion->course][$completion->text('item_key')] = (int) $completion->instant('completed_at');
            }
        }

        return $done;
    }

    /**
     * @param  list<int>  $people
     * @return array<int, bool|list<int>> whether they worked for the school, or in which courses, by id; of those who were there
     */
    public function staff(array $people): array
    {
        $staff = [];
        foreach ($this->of('people', $people) as $person) {
            $role = $person->textOrNull('role');
            $staff[$person->row] = $role === Role::Editor->value ? [] : $role !== null;
        }
        foreach ($this->of('edited_courses', $people) as $edited) {
            if (is_array($staff[(int) $edited->person] ?? null)) {
                $staff[(int) $edited->person][] = $edited->row;
            }
        }

        return $staff;
    }

    public function viewer(int $person, int $course): Viewer
    {
        foreach ((new ViewerRows($this))->each([$person => $this->staff([$person])[$person] ?? false], [$course]) as $viewers) {
            return $viewers[$course];
        }
        throw new \LogicException('Of each that is asked for there is one.');
    }

    /** Whether somebody was tied to a learner, to look with them. */
    public function observed(int $observer, int $learner): bool
    {
        foreach ($this->of('observer_ties', [$learner]) as $tie) {
            if ($tie->intOrNull('observer_id') === $observer) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $people
     * @return iterable<Fact> by person and row
     */
    private function of(string $subject, array $people): iterable
    {
        foreach ($people as $person) {
            yield from array_values($this->facts->of($subject, $person));
        }
    }
}

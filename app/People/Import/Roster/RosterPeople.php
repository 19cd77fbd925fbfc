<?php

declare(strict_types=1);

namespace App\People\Import\Roster;

use App\Access\SchoolClock;
use App\Models\Person;
use App\People\Import\EndingLine;
use App\People\Import\NotReadable;
use App\People\Import\PassedLine;
use App\People\Import\PersonLine;
use App\People\Import\TypedDates;
use App\People\Import\WrongLine;
use App\Words\Say;

/**
 * Reads people from a OneRoster 1.1 CSV bundle: users, the classes they are enrolled in as students, and guardians, who
 * come as agents of students and look in on them. What ends somebody's access ends what files gave them.
 */
final class RosterPeople
{
    private const GUARDIANS = ['guardian', 'parent', 'relative'];

    /** Of one file in the bundle, unpacked. */
    private const MOST = 200_000_000;

    /**
     * @param  array<string, string>  $offers  offer keys by the sourcedId of a class; classes without one are passed over
     * @param  list<string>  $labels  for everybody
     */
    public function __construct(private readonly string $path, private readonly array $offers, private readonly array $labels, private readonly SchoolClock $clock)
    {
    }

    /**
     * @param  int  $most  bytes of one file in the bundle, unpacked
     * @return array<string, string> titles of the classes by sourcedId
     *
     * @throws NotReadable
     */
    public static function classes(string $path, int $most = self::MOST): array
    {
        $classes = [];
        foreach ((new RosterBundle($path, $most))->rows('classes') as $row) {
            if (self::isThere($row)) {
                $classes[$row['sourcedid'] ?? ''] = $row['title'] ?? '';
            }
        }

        return $classes;
    }

    /**
     * @return \Generator<int, PersonLine|EndingLine|WrongLine|PassedLine> by row
     *
     * @throws NotReadable
     */
    public function read(): \Generator
    {
        $bundle = new RosterBundle($this->path, self::MOST);
        [$enrolled, $over] = $this->enrolments($bundle);
        $wards = $this->wards($bundle, $enrolled);
        $number = 0;
        foreach ($bundle->rows('users') as $line => $row) {
            $id = $row['sourcedid'] ?? '';
            foreach ($this->lines($row, $line, $enrolled[$id] ?? [], $over[$id] ?? [], $wards[$id] ?? []) as $one) {
                yield ++$number => $one;
            }
            unset($over[$id]);
        }
        foreach ($over as $some) {
            foreach ($some as $one) {
                yield ++$number => new PassedLine($one->line, Say::text('files.roster_people.no_user', ['why' => $one->why]));
            }
        }
    }

    /** @return array{array<string, list<Enrolment>>, array<string, list<Enrolment>>} by user: those that hold, and those that are over where none of that offer holds */
    private function enrolments(RosterBundle $bundle): array
    {
        $enrolled = $over = [];
        $today = substr($this->clock->wall($this->clock->now()), 0, 10);
        foreach ($bundle->rows('enrollments') as $line => $row) {
            $offer = $this->offers[$row['classsourcedid'] ?? ''] ?? null;
            $user = $row['usersourcedid'] ?? '';
            if (($row['role'] ?? '') !== 'student' || $offer === null) {
                continue;
            }
            // Of the end the day itself is out already, as the standard has it.
            $ends = substr($row['enddate'] ?? '', 0, 10);
            $last = TypedDates::wall($ends, null);
            $gone = ! self::isThere($row);
            if ($gone || ($last !== null && substr($last, 0, 10) <= $today)) {
                $over[$user][] = new Enrolment($line, $offer, '', '', Say::text($gone ? 'files.roster_people.enrolment_gone' : 'files.roster_people.enrolment_over', ['id' => $user, 'date' => $ends]));
            } else {
                $enrolled[$user][] = new Enrolment($line, $offer, substr($row['begindate'] ?? '', 0, 10), $ends);
            }
        }
        foreach ($over as $user => $some) {
            $held = array_map(static fn (Enrolment $one): string => $one->offer, $enrolled[$user] ?? []);
            $over[$user] = array_values(array_filter($some, static fn (Enrolment $one): bool => ! in_array($one->offer, $held, true)));
        }

        return [$enrolled, $over];
    }

    /**
     * Guardians are named by their wards and wards by their guardians, who may stand before or after them. Only those to whom they will be
     * tied: who comes by this file, or is here already.
     *
     * @param  array<string, list<Enrolment>>  $enrolled  by user
     * @return array<string, list<string>> addresses of wards by guardian
     */
    private function wards(RosterBundle $bundle, array $enrolled): array
    {
        $emails = $pairs = [];
        foreach ($bundle->rows('users') as $row) {
            $id = $row['sourcedid'] ?? '';
            $isStudent = ($row['role'] ?? '') === 'student';
            if (! self::isThere($row)) {
                continue;
            }
            if ($isStudent) {
                $emails[$id] = mb_strtolower($row['email'] ?? '');
            }
            foreach (self::listed($row['agentsourcedids'] ?? '') as $other) {
                $pairs[] = $isStudent ? [$other, $id] : [$id, $other];
            }
        }
        $absent = array_values(array_diff_key($emails, $enrolled));
        $known = [];
        foreach (array_chunk($absent, 500) as $some) {
            $known += Person::query()->whereIn('email', $some)->pluck('id', 'email')->all();
        }
        $wards = [];
        foreach ($pairs as [$guardian, $ward]) {
            $email = $emails[$ward] ?? '';
            if ($email !== '' && filter_var($email, FILTER_VALIDATE_EMAIL) !== false && (isset($enrolled[$ward]) || isset($known[$email]))) {
                $wards[$guardian][$email] = $email;
            }
        }

        return array_map(array_values(...), $wards);
    }

    /**
     * @param  array<string, string>  $row
     * @param  list<Enrolment>  $enrolled
     * @param  list<Enrolment>  $over
     * @param  list<string>  $wards
     * @return list<PersonLine|EndingLine|WrongLine|PassedLine>
     */
    private function lines(array $row, int $line, array $enrolled, array $over, array $wards): array
    {
        $role = $row['role'] ?? '';
        $guards = in_array($role, self::GUARDIANS, true);
        $id = $row['sourcedid'] ?? '';
        $email = mb_strtolower($row['email'] ?? '');
        $isThere = self::isThere($row) && mb_strtolower($row['enableduser'] ?? '') !== 'false';
        $gone = Say::text(self::isThere($row) ? 'files.roster_people.not_enabled' : 'files.roster_people.user_gone', ['id' => $id]);
        if ($guards) {
            return match (true) {
                ! $isThere => [new PassedLine($line, Say::text('files.roster_people.guardian_gone', ['why' => $gone]))],
                $wards === [] => [],
                default => [$this->person($row, $line, $wards) ?? self::unnamed($line, $id)],
            };
        }
        if (! $isThere) {
            // Teachers hold nothing that a class gives.
            return $role !== 'student' ? [] : [$email === '' ? new PassedLine($line, Say::text('files.roster_people.no_user', ['why' => $gone])) : new EndingLine($line, $email, array_values(array_unique($this->offers)), $gone)];
        }
        $lines = array_map(static fn (Enrolment $one): EndingLine|PassedLine => $email === '' ? new PassedLine($one->line, Say::text('files.roster_people.no_user', ['why' => $one->why])) : new EndingLine($one->line, $email, [$one->offer], $one->why), $over);
        if ($role !== 'student' || $enrolled === []) {
            return $lines;
        }
        $person = $this->person($row, $line);

        return $person === null ? [...$lines, self::unnamed($line, $id)] : [...$lines, ...array_map(fn (Enrolment $one): PersonLine|WrongLine|PassedLine => $this->enrolled($person, $one), $enrolled)];
    }

    private function enrolled(PersonLine $person, Enrolment $one): PersonLine|WrongLine|PassedLine
    {
        $instants = [];
        foreach ([$one->begins, $one->ends] as $day) {
            $wall = $day === '' ? null : TypedDates::wall($day, null);
            $instants[] = $instant = $wall === null ? null : $this->clock->instant($wall);
            if ($day !== '' && $instant === null) {
                return new WrongLine($one->line, Say::text('files.roster_people.enrollments_csv_date_not', ['date' => $day]));
            }
        }
        [$starts, $ends] = $instants;

        return $starts !== null && $ends !== null && $ends <= $starts
            ? new PassedLine($one->line, Say::text('files.roster_people.ends_before', ['begins' => $one->begins, 'ends' => $one->ends]))
            : new PersonLine($person->line, $person->email, $person->name, $person->labels, $one->offer, $starts, ends: $ends);
    }

    /**
     * @param  array<string, string>  $row
     * @param  list<string>  $wards
     * @return ?PersonLine without an enrolment; null: they have no address
     */
    private function person(array $row, int $line, array $wards = []): ?PersonLine
    {
        $email = mb_strtolower($row['email'] ?? '');
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            return null;
        }
        $name = trim(($row['givenname'] ?? '').' '.($row['familyname'] ?? ''));

        return new PersonLine($line, $email, mb_substr($name === '' ? $email : $name, 0, 200), $this->labels, observes: $wards);
    }

    private static function unnamed(int $line, string $id): WrongLine
    {
        return new WrongLine($line, Say::text('files.roster_people.no_address', ['id' => $id]));
    }

    /** @param  array<string, string>  $row */
    private static function isThere(array $row): bool
    {
        return mb_strtolower($row['status'] ?? '') !== 'tobedeleted';
    }

    /** @return list<string> */
    private static function listed(string $cell): array
    {
        return array_values(array_filter(array_map(trim(...), preg_split('/[,;]/', $cell) ?: []), static fn (string $one): bool => $one !== ''));
    }
}

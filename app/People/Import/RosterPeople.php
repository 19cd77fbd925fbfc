<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Access\SchoolClock;
use App\Models\Person;
use App\Words\Say;

/**
 * Reads people from a OneRoster 1.1 CSV bundle: users, the classes they are enrolled in as students, and guardians, who
 * come as agents of students and look in on them. What ends somebody's access is told and left to whoever brings them in.
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
     * @return \Generator<int, PersonLine|WrongLine|PassedLine> by row
     *
     * @throws NotReadable
     */
    public function read(): \Generator
    {
        $bundle = new RosterBundle($this->path, self::MOST);
        [$enrolled, $passed] = $this->enrolments($bundle);
        $wards = $this->wards($bundle, $enrolled);
        $number = 0;
        foreach ($passed as $one) {
            yield ++$number => $one;
        }
        foreach ($bundle->rows('users') as $line => $row) {
            $id = $row['sourcedid'] ?? '';
            foreach ($this->lines($row, $line, $enrolled[$id] ?? [], $wards[$id] ?? []) as $one) {
                yield ++$number => $one;
            }
        }
    }

    /** @return array{array<string, list<array{string, string, int}>>, list<PassedLine>} offers, beginnings and lines by user; and what is passed over */
    private function enrolments(RosterBundle $bundle): array
    {
        $enrolled = $passed = [];
        $today = substr($this->clock->wall($this->clock->now()), 0, 10);
        foreach ($bundle->rows('enrollments') as $line => $row) {
            $offer = $this->offers[$row['classsourcedid'] ?? ''] ?? null;
            $user = $row['usersourcedid'] ?? '';
            if (($row['role'] ?? '') !== 'student' || $offer === null) {
                continue;
            }
            $ends = substr($row['enddate'] ?? '', 0, 10);
            if (! self::isThere($row)) {
                $passed[] = new PassedLine($line, Say::text('files.roster_people.enrolment_gone', ['id' => $user]));
            } elseif ($ends !== '' && $ends <= $today) {
                $passed[] = new PassedLine($line, Say::text('files.roster_people.enrolment_over', ['id' => $user, 'date' => $ends]));
            } else {
                $enrolled[$user][] = [$offer, $row['begindate'] ?? '', $line];
            }
        }

        return [$enrolled, $passed];
    }

    /**
     * Guardians are named by their wards and wards by their guardians, who may stand before or after them. Only those to whom they will be
     * tied: who comes by this file, or is here already.
     *
     * @param  array<string, mixed>  $enrolled  by user
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
     * @param  list<array{string, string, int}>  $enrolled  offers, beginnings and lines
     * @param  list<string>  $wards
     * @return list<PersonLine|WrongLine|PassedLine>
     */
    private function lines(array $row, int $line, array $enrolled, array $wards): array
    {
        $role = $row['role'] ?? '';
        $guards = in_array($role, self::GUARDIANS, true);
        $id = $row['sourcedid'] ?? '';
        if (($role !== 'student' || $enrolled === []) && ! ($guards && $wards !== [])) {
            // Teachers, and whoever is enrolled in nothing that is brought in.
            return self::isThere($row) || ($role !== 'student' && ! $guards) ? [] : [new PassedLine($line, Say::text('files.roster_people.user_gone', ['id' => $id]))];
        }
        if (! self::isThere($row) || mb_strtolower($row['enableduser'] ?? '') === 'false') {
            return [new PassedLine($line, Say::text(self::isThere($row) ? 'files.roster_people.not_enabled' : 'files.roster_people.user_gone', ['id' => $id]))];
        }
        $email = mb_strtolower($row['email'] ?? '');
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            return [new WrongLine($line, Say::text('files.roster_people.no_address', ['id' => $id]))];
        }
        $name = trim(($row['givenname'] ?? '').' '.($row['familyname'] ?? ''));
        $name = mb_substr($name === '' ? $email : $name, 0, 200);
        if ($guards) {
            return [new PersonLine($line, $email, $name, $this->labels, observes: $wards)];
        }

        return array_map(function (array $one) use ($line, $email, $name): PersonLine|WrongLine {
            [$offer, $begin, $at] = $one;
            $wall = $begin === '' ? null : TypedDates::wall(substr($begin, 0, 10), null);
            $starts = $wall === null ? null : $this->clock->instant($wall);

            return $begin !== '' && $starts === null
                ? new WrongLine($at, Say::text('files.roster_people.enrollments_csv_begin_not', ['begin' => $begin]))
                : new PersonLine($line, $email, $name, $this->labels, $offer, $starts);
        }, $enrolled);
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

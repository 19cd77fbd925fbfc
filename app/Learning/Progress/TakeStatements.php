<?php

declare(strict_types=1);

namespace App\Learning\Progress;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Completion;
use App\Models\Course;
use App\Models\Person;
use App\Models\ProgressStatement;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use SilentKeep\Core\Outline\Kind;

/**
 * Takes what systems of others say of learners' progress: all of it or nothing. An item counts as finished from the earliest instant
 * that anybody says; the same statement twice, or statements in another order, come to the same.
 */
final readonly class TakeStatements
{
    public const MOST = 100;

    public function __construct(private SchoolClock $clock, private Plans $plans, private ActivityLog $log)
    {
    }

    /**
     * @param  list<mixed>  $given  decoded JSON
     * @param  \Closure(int): string  $at  the pointer of each
     * @return list<string> their ids
     *
     * @throws StatementRefused
     */
    public function __invoke(array $given, \Closure $at, Person $by): array
    {
        $now = $this->clock->now();
        $root = SchoolAddress::root();
        $told = [];
        foreach ($given as $index => $one) {
            $told[] = Told::read($one, $at($index), $root, $now, (string) Str::uuid());
        }
        $rows = $this->rows($told, $at, $now);
        DB::transaction(fn () => $this->keep($told, $rows, $at, $by));

        return array_map(static fn (Told $one): string => $one->id, $told);
    }

    /**
     * @param  list<Told>  $told
     * @param  \Closure(int): string  $at
     * @return list<array{id: string, person_id: int, course_id: int, item_key: string, completes: bool, digest: string, body: string, stored_at: string}>
     *
     * @throws StatementRefused
     */
    private function rows(array $told, \Closure $at, int $now): array
    {
        $emails = array_filter(array_map(static fn (Told $one): ?string => $one->email, $told));
        $ids = array_filter(array_map(static fn (Told $one): ?int => $one->person, $told));
        $people = Person::query()->toBase()->whereNull('role')->where(static fn ($query) => $query->whereIn('email', $emails)->orWhereIn('id', $ids))->pluck('email', 'id')->all();
        $byEmail = array_flip(Value::texts($people) === [] ? [] : array_map(Value::text(...), $people));
        $courses = Course::query()->with('liveRevision')->whereIn('key', array_map(static fn (Told $one): string => $one->course, $told))->get()->keyBy('key');
        $rows = $outlines = [];
        foreach ($told as $index => $one) {
            $person = $one->person !== null ? (isset($people[$one->person]) ? $one->person : null) : ($byEmail[(string) $one->email] ?? null);
            if ($person === null) {
                throw new StatementRefused("{$at($index)}/actor", Say::text('interface.gone.person'));
            }
            $course = $courses->get($one->course);
            $outline = $course === null ? null : $outlines[$course->key] ??= $this->plans->live($course)?->course->outline;
            $position = $outline?->positionOf($one->item);
            // A module is finished by what is inside it.
            if ($course === null || $outline === null || $position === null || $outline->items[$position]->kind === Kind::Module) {
                throw new StatementRefused("{$at($index)}/object/id", Say::text('interface.gone.item'));
            }
            $rows[] = ['id' => $one->id, 'person_id' => (int) $person, 'course_id' => $course->id, 'item_key' => $one->item, 'completes' => $one->completes, 'digest' => $one->digest, 'body' => $one->body, 'stored_at' => gmdate('Y-m-d H:i:s', $now)];
        }

        return $rows;
    }

    /**
     * @param  list<Told>  $told
     * @param  list<array{id: string, person_id: int, course_id: int, item_key: string, completes: bool, digest: string, body: string, stored_at: string}>  $rows
     * @param  \Closure(int): string  $at
     *
     * @throws StatementRefused
     */
    private function keep(array $told, array $rows, \Closure $at, Person $by): void
    {
        $known = ProgressStatement::query()->toBase()->whereIn('id', array_column($rows, 'id'))->pluck('digest', 'id')->all();
        foreach ($rows as $index => $row) {
            if (isset($known[$row['id']])) {
                if ($known[$row['id']] !== $row['digest']) {
                    throw new StatementRefused("{$at($index)}/id", Say::text('interface.statements.collides'), collides: true);
                }

                continue;
            }
            $known[$row['id']] = $row['digest'];
            ProgressStatement::query()->insert($row);
            if ($row['completes']) {
                $this->finish($row['person_id'], $row['course_id'], $row['item_key'], $told[$index]->at, $by);
            }
        }
    }

    private function finish(int $person, int $course, string $item, int $at, Person $by): void
    {
        $before = Completion::query()->where('person_id', $person)->where('course_id', $course)->where('item_key', $item)->first();
        if ($before === null) {
            Completion::query()->create(['person_id' => $person, 'course_id' => $course, 'item_key' => $item, 'completed_at' => $at]);
            $this->log->note('item.finished', $by, Course::query()->findOrFail($course), Person::query()->findOrFail($person), after: ['item' => $item, 'by' => 'statement']);
        } elseif ($before->completed_at->getTimestamp() > $at) {
            $before->update(['completed_at' => $at]);
        }
    }
}

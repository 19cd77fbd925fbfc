<?php

declare(strict_types=1);

namespace App\Learning\Progress;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Database\Dialects;
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
        $people = Person::query()->toBase()->whereNull('role')->where(static fn ($query) => $query->whereIn('email', $emails)->orWhereIn('id', $ids))->pluck('email', 'id')->map(Value::text(...))->all();
        $byEmail = array_flip($people);
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
        $new = $finished = [];
        foreach ($rows as $index => $row) {
            if (! isset($known[$row['id']])) {
                $known[$row['id']] = $row['digest'];
                $new[] = $row;
                $key = "{$row['person_id']} {$row['course_id']} {$row['item_key']}";
                if ($row['completes']) {
                    $finished[$key] = [...$row, 'at' => min($finished[$key]['at'] ?? PHP_INT_MAX, $told[$index]->at)];
                }
            } elseif ($known[$row['id']] !== $row['digest']) {
                throw new StatementRefused("{$at($index)}/id", Say::text('interface.statements.collides'), collides: true);
            }
        }
        ProgressStatement::query()->insert($new);
        $this->finish(array_values($finished), $by);
    }

    /** @param  list<array{person_id: int, course_id: int, item_key: string, at: int}>  $finished */
    private function finish(array $finished, Person $by): void
    {
        if ($finished === []) {
            return;
        }
        $there = Completion::query()->toBase()->whereIn('person_id', array_column($finished, 'person_id'))->whereIn('course_id', array_column($finished, 'course_id'))->whereIn('item_key', array_column($finished, 'item_key'))
            ->get(['person_id', 'course_id', 'item_key'])->map(static fn (object $one): string => implode(' ', Value::texts((array) $one)))->flip();
        Completion::query()->upsert(
            array_map(static fn (array $one): array => ['person_id' => $one['person_id'], 'course_id' => $one['course_id'], 'item_key' => $one['item_key'], 'completed_at' => gmdate('Y-m-d H:i:s', $one['at'])], $finished),
            ['person_id', 'course_id', 'item_key'],
            ['completed_at' => DB::raw(Dialects::spoken()->least('completions.completed_at', 'excluded.completed_at'))],
        );
        $fresh = array_filter($finished, static fn (array $one): bool => ! $there->has("{$one['person_id']} {$one['course_id']} {$one['item_key']}"));
        $this->log->noteEach('item.finished', $by, array_values(array_map(static fn (array $one): array => ['course' => $one['course_id'], 'person' => $one['person_id'], 'after' => ['item' => $one['item_key'], 'by' => 'statement']], $fresh)));
    }
}

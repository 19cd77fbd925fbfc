<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\ActRecord;
use App\Models\Draft;
use App\Models\Message;
use App\Models\Person;
use App\Models\Revision;
use App\Models\TriggerRun;
use App\Pages\Courses\CoursesPageBuilder;
use App\School\Health;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use SilentKeep\Core\Time\Instant;

/** What waits, what was published and what was done to people, the last first; and what the schedule and the queue did. */
final readonly class WhatChanged
{
    private const DAYS = 7;

    private const LINES = 7;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private CoursesPageBuilder $courses, private Health $health)
    {
    }

    /**
     * @param  ?list<int>  $only  ids of the courses that are told of, and nothing else; null: all
     * @return list<TodayLine> drafts that wait first
     */
    public function lines(bool $mayRun, ?array $only = null): array
    {
        $waiting = [];
        // Only what has a draft waits for anything.
        $drafted = Value::ints(Draft::query()->when($only !== null, static fn ($query) => $query->whereIntegerInRaw('course_id', $only ?? []))->orderBy('course_id')->pluck('course_id'));
        foreach ($drafted === [] ? [] : $this->courses->list($drafted) as $row) {
            if ($row->changes > 0) {
                $waiting[] = new TodayLine(Sentence::say('today_told.waits', ['count' => $row->changes], ['course' => $row->title]), $row->goesLive === null ? Say::text('today_told.not_live') : Say::text('today_told.goes_live', ['when' => $row->goesLive]), Say::text('today_told.review'), route('keep.rehearsal', $row->key, false));
            }
        }
        $changed = [...$this->published($mayRun || $only !== null, $only), ...($only === null ? $this->acts($mayRun) : [])];
        usort($changed, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_slice([...$waiting, ...array_map(static fn (array $one): TodayLine => $one[1], $changed)], 0, self::LINES);
    }

    /**
     * @param  ?list<int>  $only
     * @return list<array{int, TodayLine}> with their instants
     */
    private function published(bool $mayTakeBack, ?array $only): array
    {
        $lines = [];
        $since = gmdate('Y-m-d H:i:s', $this->clock->plusDays($this->clock->now(), -self::DAYS));
        foreach (Revision::query()->with('author')->where('published_at', '>=', $since)->where('number', '>', 1)->when($only !== null, static fn ($query) => $query->whereIntegerInRaw('course_id', $only ?? []))->orderByDesc('id')->limit(self::LINES)->get(['id', 'course_id', 'number', 'note', 'author_id', 'published_at']) as $revision) {
            $course = $this->shelf->course($revision->course_id);
            if ($course === null) {
                continue;
            }
            $live = $course->live_revision_id === $revision->id;
            $at = $revision->published_at->getTimestamp();
            $lines[] = [$at, new TodayLine(
                Sentence::say('today_told.published', ['number' => $revision->number], ['who' => $revision->author->name ?? Say::text('today_told.schedule'), 'course' => $this->shelf->title($course->id)]),
                $this->clock->words($at).($revision->note === null ? '' : " · {$revision->note}"),
                Say::text($live && $mayTakeBack ? 'today_told.take_back' : 'today_told.show'),
                $live && $mayTakeBack ? route('keep.rehearsal', ['course' => $course, 'back' => $revision->number - 1], false) : route('keep.history', $course, false), Instant::format($at),
            )];
        }

        return $lines;
    }

    /** @return list<array{int, TodayLine}> with their instants */
    private function acts(bool $mayRun): array
    {
        $since = gmdate('Y-m-d H:i:s', $this->clock->plusDays($this->clock->now(), -self::DAYS));
        $acts = ActRecord::query()->where('state', 'done')->whereNull('undone_at')->where('made_at', '>=', $since)->where('touched', '>', 0)->orderByDesc('id')->limit(self::LINES)->get(['id', 'actor_id', 'by', 'told', 'state', 'touched', 'made_at', 'undone_at']);
        $names = Person::query()->whereIn('id', $acts->pluck('actor_id')->filter()->all())->pluck('name', 'id')->all();
        $undone = DB::table('act_changes')->whereIn('act_id', $acts->pluck('id')->all())->distinct()->pluck('act_id')->flip();
        $lines = [];
        foreach ($acts as $act) {
            $at = $act->made_at->getTimestamp();
            $who = $act->by ?? ($act->actor_id === null ? null : $names[$act->actor_id] ?? null);
            $undoes = $mayRun && $undone->has($act->id);
            $lines[] = [$at, new TodayLine(
                Sentence::say('today_told.act', ['what' => $act->told, 'count' => $act->touched]), $this->clock->words($at).(is_string($who) ? " · {$who}" : ''),
                Say::text($undoes ? 'today_told.take_back' : 'today_told.show'), route('keep.act', ['act' => $act->id], false), Instant::format($at), undoes: $undoes ? $act->id : null,
            )];
        }

        return $lines;
    }

    /** @return list<string> in sentences */
    public function running(): array
    {
        $day = gmdate('Y-m-d H:i:s', $this->clock->now() - 86400);
        $ran = $this->health->ranAt();
        $letters = Message::query()->toBase()->where('written_at', '>=', $day)->selectRaw("count(case when state = 'sent' then 1 end) as sent, count(case when state = 'failed' then 1 end) as failed")->first();
        $number = static fn (mixed $value): int => is_numeric($value) ? (int) $value : 0;

        return [
            $ran === null ? Say::text('today_told.schedule_never') : Say::text('today_told.schedule_ran', ['when' => $this->clock->words($ran)]),
            Say::text('today_told.queue', ['waiting' => Queue::size(), 'failed' => DB::table('failed_jobs')->count()]),
            Say::text('today_told.letters', ['sent' => $number($letters->sent ?? 0), 'failed' => $number($letters->failed ?? 0)]),
            Say::text('today_told.triggers', ['count' => TriggerRun::query()->where('made_at', '>=', $day)->count()]),
        ];
    }
}

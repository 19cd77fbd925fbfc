<?php

declare(strict_types=1);

namespace App\Notices\Met;

use App\Database\Value;
use App\Models\Course;
use App\Models\NoticeMeeting;
use App\Models\NoticeWeek;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** How often closed doors are met, and what is done next: one by one for some weeks, by the week for thirteen months. */
final readonly class Meetings
{
    /** Days that are counted as the last ones. */
    public const DAYS = 30;

    /** Weeks of the chart. */
    public const WEEKS = 12;

    /** Days for which each is kept by itself, and for which weeks are kept. */
    private const KEPT = 35;

    private const WEEKS_KEPT = 400;

    public function __construct(private ClockInterface $clock)
    {
    }

    public function at(Course $course, string $item, string $case): DoorCount
    {
        $now = $this->clock->now()->getTimestamp();
        $recent = NoticeMeeting::query()->where('course_id', $course->id)->where('item_key', $item)->where('case', $case);
        $who = $then = [];
        foreach ((clone $recent)->where('met_at', '>', gmdate('Y-m-d H:i:s', $now - self::DAYS * 86400))->toBase()->groupBy('who', 'then')->selectRaw('"who", "then", count(*) as met')->get() as $row) {
            $who[Value::text($row->who)] = ($who[Value::text($row->who)] ?? 0) + Value::int($row->met);
            $next = is_string($row->then) ? $row->then : 'left';
            $then[$next] = ($then[$next] ?? 0) + Value::int($row->met);
        }
        arsort($who);

        return new DoorCount(array_sum($who), $then['taken'] ?? 0, $then['signed-in'] ?? 0, $then['went-on'] ?? 0, $then['left'] ?? 0, $who, $this->weeks($course, $item, $case, $now));
    }

    /** @return list<int> how often in each of the last weeks, the present one last */
    private function weeks(Course $course, string $item, string $case, int $now): array
    {
        $monday = self::monday($now);
        $first = gmdate('Y-m-d', strtotime("{$monday} UTC") - (self::WEEKS - 1) * 7 * 86400);
        $met = [];
        $door = ['course_id' => $course->id, 'item_key' => $item, 'case' => $case];
        foreach (NoticeMeeting::query()->where($door)->where('met_at', '>=', $first)->pluck('met_at') as $at) {
            $week = self::monday($at instanceof \DateTimeInterface ? $at->getTimestamp() : 0);
            $met[$week] = ($met[$week] ?? 0) + 1;
        }
        foreach (NoticeWeek::query()->where($door)->where('week', '>=', $first)->get() as $past) {
            $met[substr($past->week, 0, 10)] = ($met[substr($past->week, 0, 10)] ?? 0) + $past->met;
        }

        return array_map(static fn (int $index): int => $met[gmdate('Y-m-d', strtotime("{$first} UTC") + $index * 7 * 86400)] ?? 0, range(0, self::WEEKS - 1));
    }

    /**
     * Counts old ones by the week and lets go of them one by one, and of weeks that are long past.
     *
     * @return int how many were let go of
     */
    public function fold(): int
    {
        $now = $this->clock->now()->getTimestamp();
        // Whole weeks alone, so that none is counted in two pieces that could come twice.
        $before = self::monday($now - self::KEPT * 86400);
        $gone = 0;
        foreach (NoticeMeeting::query()->where('met_at', '<', $before)->orderBy('id')->limit(20_000)->get()->groupBy(static fn (NoticeMeeting $one): string => self::monday($one->met_at->getTimestamp())) as $week => $meetings) {
            DB::transaction(static function () use ($week, $meetings): void {
                foreach ($meetings->groupBy(static fn (NoticeMeeting $one): string => "{$one->course_id}\n{$one->item_key}\n{$one->case}") as $same) {
                    $count = static fn (string $then): int => $same->where('then', $then)->count();
                    $door = $same->firstOrFail();
                    NoticeWeek::query()->upsert(
                        ['course_id' => $door->course_id, 'item_key' => $door->item_key, 'case' => $door->case, 'week' => $week, 'met' => $same->count(), 'taken' => $count('taken'), 'signed_in' => $count('signed-in'), 'went_on' => $count('went-on')],
                        ['course_id', 'item_key', 'case', 'week'],
                        array_map(DB::raw(...), ['met' => 'notice_weeks.met + excluded.met', 'taken' => 'notice_weeks.taken + excluded.taken', 'signed_in' => 'notice_weeks.signed_in + excluded.signed_in', 'went_on' => 'notice_weeks.went_on + excluded.went_on']),
                    );
                }
                foreach ($meetings->modelKeys() as $id) {
                    $ids[] = $id;
                }
                foreach (array_chunk($ids ?? [], 500) as $some) {
                    NoticeMeeting::query()->whereIn('id', $some)->delete();
                }
            });
            $gone += $meetings->count();
        }

        return $gone + Value::int(NoticeWeek::query()->where('week', '<', gmdate('Y-m-d', $now - self::WEEKS_KEPT * 86400))->delete());
    }

    /** YYYY-MM-DD of the Monday of the week in which an instant lies, in UTC. */
    private static function monday(int $at): string
    {
        return gmdate('Y-m-d', $at - ((int) gmdate('N', $at) - 1) * 86400);
    }
}

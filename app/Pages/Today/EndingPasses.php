<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Lists;
use App\Models\Pass;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\PassState;

/** Whose passes end soon: one by one, or counted where many end at once. */
final readonly class EndingPasses
{
    private const DAYS = 10;

    private const LINES = 6;

    /** That end at the same instant and are still told one by one. */
    private const TOGETHER = 3;

    /** Passes that are looked at: more than that in ten days are in the list of people. */
    private const MOST = 400;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    /** @return list<TodayLine> the first to end first */
    public function lines(): array
    {
        $now = $this->clock->now();
        $stored = static fn (int $instant): string => gmdate('Y-m-d H:i:s', $instant);
        $soon = Pass::query()->toBase()->where('state', PassState::Active->value)->where('starts_at', '<=', $stored($now))
            ->where('ends_at', '>', $stored($now))->where('ends_at', '<=', $stored($this->clock->plusDays($now, self::DAYS)))
            ->orderBy('ends_at')->orderBy('id')->limit(self::MOST)->select('id', 'offer_id', 'ends_at');
        $together = [];
        foreach (Lists::of($soon) as [$id, $offer, $ends]) {
            $together["{$offer} {$ends}"][] = (int) $id;
        }
        // Only those that are told are read whole.
        $told = [];
        foreach ($together as $ids) {
            if (count($told) >= self::LINES) {
                break;
            }
            $told += count($ids) > self::TOGETHER ? [$ids[0] => count($ids)] : array_fill_keys($ids, 1);
        }
        $passes = Pass::query()->with(['person', 'offer'])->whereIntegerInRaw('id', array_keys($told))->get()->keyBy('id');
        $lines = [];
        foreach (array_slice($told, 0, self::LINES, preserve_keys: true) as $id => $count) {
            $pass = $passes->get($id);
            if ($pass !== null) {
                $lines[] = $count > 1 ? $this->several($pass, $count) : $this->one($pass);
            }
        }

        return $lines;
    }

    private function one(Pass $pass): TodayLine
    {
        return $this->line($pass, Sentence::say('today_told.one_ends', ['offer' => $pass->offer->name], ['who' => $pass->person->name, 'course' => $this->shelf->title($pass->course_id)]), Say::text('today_told.extend'), route('keep.person', ['person' => $pass->person_id, 'extend' => $pass->offer->key], false));
    }

    /** @param  int  $count  how many end with it */
    private function several(Pass $pass, int $count): TodayLine
    {
        $days = max(1, 1 + $this->clock->nightsBetween($this->clock->now(), $pass->ends_at?->getTimestamp() ?? 0));

        return $this->line($pass, Sentence::say('today_told.several_end', ['count' => $count, 'offer' => $pass->offer->name], ['course' => $this->shelf->title($pass->course_id)]), Say::text('today_told.see_them'), route('keep.people.list', ['holds' => $pass->offer->key, 'ends_in' => $days, 'sort' => 'ends'], false));
    }

    private function line(Pass $pass, Sentence $what, string $go, string $href): TodayLine
    {
        $at = $pass->ends_at?->getTimestamp() ?? 0;
        $nights = $this->clock->nightsBetween($this->clock->now(), $at);

        return new TodayLine($what, $nights > 1 ? $this->clock->words($at) : Say::text($nights === 0 ? 'today_told.today' : 'today_told.tomorrow', ['when' => $this->clock->words($at)]), $go, $href, Instant::format($at), soon: $nights <= 1);
    }
}

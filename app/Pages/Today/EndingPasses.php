<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
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
        $passes = Pass::query()->with(['person', 'offer'])->where('state', PassState::Active->value)->where('starts_at', '<=', $stored($now))
            ->where('ends_at', '>', $stored($now))->where('ends_at', '<=', $stored($this->clock->plusDays($now, self::DAYS)))
            ->orderBy('ends_at')->orderBy('id')->limit(self::MOST)->get();
        $lines = [];
        foreach ($passes->groupBy(static fn (Pass $pass): string => "{$pass->offer_id} {$pass->ends_at?->getTimestamp()}") as $together) {
            $lines = [...$lines, ...count($together) > self::TOGETHER ? [$this->several(array_values($together->all()))] : array_values(array_map($this->one(...), $together->all()))];
        }

        return array_slice($lines, 0, self::LINES);
    }

    private function one(Pass $pass): TodayLine
    {
        return $this->line($pass, Sentence::say('today_told.one_ends', ['offer' => $pass->offer->name], ['who' => $pass->person->name, 'course' => $this->shelf->title($pass->course_id)]), Say::text('today_told.extend'), route('keep.person', ['person' => $pass->person_id, 'extend' => $pass->offer->key], false));
    }

    /** @param  list<Pass>  $passes */
    private function several(array $passes): TodayLine
    {
        $days = max(1, 1 + $this->clock->nightsBetween($this->clock->now(), $passes[0]->ends_at?->getTimestamp() ?? 0));

        return $this->line($passes[0], Sentence::say('today_told.several_end', ['count' => count($passes), 'offer' => $passes[0]->offer->name], ['course' => $this->shelf->title($passes[0]->course_id)]), Say::text('today_told.see_them'), route('keep.people.list', ['holds' => $passes[0]->offer->key, 'ends_in' => $days, 'sort' => 'ends'], false));
    }

    private function line(Pass $pass, Sentence $what, string $go, string $href): TodayLine
    {
        $at = $pass->ends_at?->getTimestamp() ?? 0;
        $nights = $this->clock->nightsBetween($this->clock->now(), $at);

        return new TodayLine($what, $nights > 1 ? $this->clock->words($at) : Say::text($nights === 0 ? 'today_told.today' : 'today_told.tomorrow', ['when' => $this->clock->words($at)]), $go, $href, Instant::format($at), soon: $nights <= 1);
    }
}

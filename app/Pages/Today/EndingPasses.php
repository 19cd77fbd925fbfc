<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Lists;
use App\Database\Value;
use App\Models\Pass;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Database\Eloquent\Builder;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\PassState;

/** Whose passes end soon: one by one, or counted where many end at once. */
final readonly class EndingPasses
{
    private const DAYS = 10;

    private const LINES = 6;

    /** That end at the same instant and are still told one by one. */
    private const TOGETHER = 3;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    /** @return list<TodayLine> the first to end first */
    public function lines(): array
    {
        $now = $this->clock->now();
        $stored = static fn (int $instant): string => gmdate('Y-m-d H:i:s', $instant);
        $soon = fn (): Builder => Pass::query()->where('state', PassState::Active->value)->where('starts_at', '<=', $stored($now))
            ->where('ends_at', '>', $stored($now))->where('ends_at', '<=', $stored($this->clock->plusDays($now, self::DAYS)));
        $together = Lists::of($soon()->toBase()->groupBy('offer_id', 'ends_at')->orderBy('ends_at')->orderByRaw('min(id)')->limit(self::LINES)->selectRaw('offer_id, ends_at, count(*), min(id)'));
        if ($together === []) {
            return [];
        }
        // Only those that are told are read whole: of many that end at once the first.
        $told = $soon()->with(['person', 'offer'])->where(static function (Builder $any) use ($together): void {
            foreach ($together as [$offer, $ends, $count, $first]) {
                $any->orWhere(static fn (Builder $one): Builder => (int) $count > self::TOGETHER ? $one->where('id', $first) : $one->where('offer_id', $offer)->where('ends_at', $ends));
            }
        })->orderBy('id')->get()->groupBy(static fn (Pass $pass): string => "{$pass->offer_id} {$pass->ends_at?->getTimestamp()}");
        $lines = [];
        foreach ($together as [$offer, $ends, $count]) {
            foreach ($told->get($offer.' '.Value::instant((string) $ends), []) as $pass) {
                $lines[] = (int) $count > self::TOGETHER ? $this->several($pass, (int) $count) : $this->one($pass);
            }
        }

        return array_slice($lines, 0, self::LINES);
    }

    private function one(Pass $pass): TodayLine
    {
        return $this->line($pass, Sentence::say('today_told.one_ends', ['offer' => $pass->offer->name], ['who' => $pass->person->name, 'course' => $this->shelf->title($pass->course_id)]), Say::text('today_told.extend'), route('keep.person', ['person' => $pass->person_id, 'extend' => $pass->offer->key], false));
    }

    /** @param  int  $count  how many end at once, this one among them */
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

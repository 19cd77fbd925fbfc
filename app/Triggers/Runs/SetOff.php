<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use App\Access\SchoolClock;
use App\Models\Person;
use App\Models\Trigger;
use App\Models\TriggerRun;
use App\Triggers\Happening\Happening;
use App\Triggers\Happening\Happenings;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\TriggerSpec;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/**
 * Notes a run for all that has come about since a trigger was switched on and was not noted yet. What is noted is done by
 * {@see PerformRun}; what was noted once is never noted again.
 */
final readonly class SetOff
{
    /** Days back that are looked at: what was laid down late, and what came about while nothing ran. */
    private const DAYS = 2;

    /** So often in an hour is one trigger set off for one person at most: those that set each other off go on for ever. */
    public const MOST_AN_HOUR = 5;

    public function __construct(private SchoolClock $clock, private Happenings $happenings)
    {
    }

    /** @return int how many runs are new */
    public function __invoke(): int
    {
        $now = $this->clock->now();
        $new = 0;
        foreach (Trigger::query()->where('on', true)->orderBy('id')->get() as $trigger) {
            $from = max($trigger->since?->getTimestamp() ?? $now, $this->clock->plusDays($now, -self::DAYS));
            $happened = $this->happenings->of(TriggerSpec::of($trigger->spec)->when, $from, $now);
            foreach (array_chunk($happened, 200) as $some) {
                $new += $this->note($trigger, $some, $now);
            }
        }

        return $new;
    }

    /** @param  list<Happening>  $happened */
    private function note(Trigger $trigger, array $happened, int $now): int
    {
        $known = TriggerRun::query()->where('trigger_id', $trigger->id)->whereIn('key', array_map(static fn (Happening $one): string => $one->key, $happened))->pluck('key')->flip();
        $left = array_values(array_filter($happened, static fn (Happening $one): bool => ! $known->has($one->key)));
        if ($left === []) {
            return 0;
        }
        $people = array_map(static fn (Happening $one): int => $one->personId, $left);
        // Whoever runs the school is nobody's learner. Whose address is not shown to be theirs is nobody yet, but for what a form gives:
        // that is theirs once they have shown it.
        $isForm = TriggerSpec::of($trigger->spec)->when->kind() === EventKind::FormSent;
        $learners = Person::query()->whereIn('id', $people)->whereNull('role')->when(! $isForm, static fn ($query) => $query->whereNull('claimed_email'))->pluck('id')->flip();
        $lately = TriggerRun::query()->where('trigger_id', $trigger->id)->whereIn('person_id', $people)->where('made_at', '>', Happening::stamp($now - 3600))->toBase()->selectRaw('person_id, count(*) as runs')->groupBy('person_id')->pluck('runs', 'person_id');
        $rows = [];
        foreach ($left as $one) {
            if ($learners->has($one->personId)) {
                $lately[$one->personId] = (is_numeric($lately[$one->personId] ?? 0) ? (int) ($lately[$one->personId] ?? 0) : 0) + 1;
                $rows[] = self::row($trigger, $one, $now, stopped: $lately[$one->personId] > self::MOST_AN_HOUR);
            }
        }

        return DB::transaction(static fn (): int => TriggerRun::query()->insertOrIgnore($rows));
    }

    /** @return array<string, mixed> */
    private static function row(Trigger $trigger, Happening $one, int $now, bool $stopped): array
    {
        return [
            'trigger_id' => $trigger->id, 'key' => $one->key, 'person_id' => $one->personId, 'cause' => mb_substr($one->told, 0, 250), 'spec' => json_encode($trigger->spec, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'state' => $stopped ? 'stopped' : 'waiting', 'did' => '[]', 'due_at' => $stopped ? null : Happening::stamp($now), 'problem' => $stopped ? Say::text('triggers.again_and_again', ['times' => self::MOST_AN_HOUR]) : null,
            'happened_at' => Happening::stamp($one->at), 'made_at' => Happening::stamp($now),
        ];
    }
}

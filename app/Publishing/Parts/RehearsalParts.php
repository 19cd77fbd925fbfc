<?php

declare(strict_types=1);

namespace App\Publishing\Parts;

use App\Database\Value;
use App\Models\Course;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\RehearsalPart;
use App\Models\RehearsalRun;
use App\Publishing\Rehearsal;
use App\Publishing\RehearsalCount;
use App\Publishing\RehearsalRuns;
use App\Publishing\RehearsalTally;
use Illuminate\Database\Query\Builder;
use Psr\Clock\ClockInterface;

/** A long rehearsal in parts, at which several workers look at once: together they find what one would who looked at all, one after another. */
final readonly class RehearsalParts
{
    /** So many people are worth a part of their own. */
    private const WORTH = 2_000;

    /** More than there are workers, so that nobody waits long for the last of them. */
    private const MOST = 8;

    public function __construct(private ClockInterface $clock, private Rehearsal $rehearsal, private RehearsalRuns $runs)
    {
    }

    /**
     * @param  int  $worth  so many people are worth a part of their own
     * @return list<RehearsalPart> not kept yet, for each of which a job is to be begun; none where it is short enough for one worker
     */
    public function cut(Course $course, int $worth = self::WORTH): array
    {
        $parts = [
            ...self::stretches(Pass::query()->toBase()->where('course_id', $course->id), 'person_id', RehearsalCount::PEOPLE, $worth),
            ...self::stretches(ObserverTie::query()->toBase(), 'id', RehearsalCount::OBSERVERS, $worth),
        ];

        // One for people and one for observers is what a single worker does anyway.
        return count($parts) <= 2 ? [] : array_map(static fn (array $part): RehearsalPart => new RehearsalPart(['tally' => RehearsalTally::none()->toJson(), ...$part]), $parts);
    }

    /**
     * Of about as many rows each: whoever is meant by one is looked at once, by way of people or of ties.
     *
     * @return list<array{phase: string, last_id: int, up_to: ?int}>
     */
    private static function stretches(Builder $rows, string $column, string $phase, int $worth): array
    {
        $count = $rows->clone()->count();
        $parts = min(self::MOST, max(1, intdiv($count, $worth)));
        $stretches = [];
        $last = 0;
        for ($part = 1; $part <= $parts; $part++) {
            $upTo = $part === $parts ? null : Value::int($rows->clone()->orderBy($column)->offset(intdiv($count * $part, $parts))->value($column));
            $stretches[] = ['phase' => $phase, 'last_id' => $last, 'up_to' => $upTo];
            $last = $upTo ?? $last;
        }

        return $stretches;
    }

    /** Goes on with a part for about so long. False where nothing of it is left to be done. */
    public function step(int $id, float $seconds): bool
    {
        $part = RehearsalPart::query()->find($id);
        $run = $part === null || $part->finished_at !== null ? null : RehearsalRun::query()->find($part->rehearsal_id);
        if ($part === null || $run === null) {
            return false;
        }
        $proposal = $this->runs->proposalOf($run);
        if ($proposal === null) {
            // It was edited or published meanwhile: nobody asks for this one any more.
            $run->delete();

            return false;
        }
        $count = RehearsalCount::ofPart($part->tally, $part->phase, $part->last_id, $part->up_to);
        $tally = $part->phase === RehearsalCount::PEOPLE ? $count->people : $count->observers;
        $finished = $this->rehearsal->goOn($proposal, $run->instant->getTimestamp(), $count, $seconds);
        // Two may go on with the same one at once: what the slower has found is what the faster has kept already.
        RehearsalPart::query()->whereKey($id)->where('last_id', $part->last_id)->whereNull('finished_at')->update([
            'last_id' => $finished ? $part->last_id : $count->lastId, 'looked' => $count->looked(), 'tally' => $tally->toJson(),
            'finished_at' => $finished ? $this->clock->now()->format('Y-m-d H:i:s') : null,
        ]);
        $this->putTogether($part->rehearsal_id);

        return ! $finished;
    }

    /** Tells how far all of it is, and what has been found where all parts are finished. */
    private function putTogether(int $runId): void
    {
        $parts = RehearsalPart::query()->where('rehearsal_id', $runId)->get(['looked', 'finished_at']);
        $looked = Value::int($parts->sum('looked'));
        $unfinished = RehearsalRun::query()->whereKey($runId)->whereNull('finished_at');
        if ($parts->contains('finished_at', null)) {
            $unfinished->where('looked', '<', $looked)->update(['looked' => $looked]);

            return;
        }
        $run = $unfinished->clone()->first();
        if ($run !== null) {
            $count = RehearsalRuns::countOf($run);
            $unfinished->update([
                'phase' => RehearsalCount::DONE, 'last_id' => 0, 'looked' => $looked, 'of' => max($run->of, $looked), 'people' => $count->people->toJson(), 'observers' => $count->observers->toJson(),
                'finished_at' => $this->clock->now()->format('Y-m-d H:i:s'),
            ]);
        }
    }
}

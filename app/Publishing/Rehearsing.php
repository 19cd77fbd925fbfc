<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\RehearsalRun;
use App\Publishing\Parts\RehearsalParts;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * Rehearses at once where that is quick; else the queue does it, group by group, while whoever asked may look on, leave
 * and come back.
 */
final readonly class Rehearsing
{
    /** Seconds for which a page waits. */
    private const PATIENCE = 1.0;

    /** Seconds for which a long rehearsal that is finished is shown again instead of being made anew. */
    private const FRESH = 600;

    public function __construct(private ClockInterface $clock, private RehearsalRuns $runs, private RehearsalParts $parts)
    {
    }

    /**
     * To be looked at; nothing is written.
     *
     * @param  ?int  $setFor  instant for which a publication may be set; null: at once
     * @param  bool  $anew  not the one that is kept
     * @return RehearsalRun finished, or as far as it has come
     */
    public function look(Proposal $proposal, ?int $setFor, bool $anew = false, float $seconds = self::PATIENCE): RehearsalRun
    {
        $run = $anew ? null : $this->kept($proposal, $setFor);
        if ($run === null) {
            $run = $this->runs->new($proposal, $setFor);
            $this->runs->goOn($proposal, $run, $seconds);
        }

        return $run;
    }

    /** Has the queue make it, where nobody has asked for it already. */
    public function begin(Proposal $proposal, ?int $setFor): RehearsalRun
    {
        $run = $this->kept($proposal, $setFor);
        if ($run === null) {
            $run = $this->runs->new($proposal, $setFor);
            $parts = $this->parts->cut($proposal->course);
            DB::transaction(static function () use ($proposal, $run, $parts): void {
                RehearsalRun::query()->where('course_id', $proposal->course->id)->delete();
                $run->save();
                $run->parts()->saveMany($parts);
            });
            foreach ($parts === [] ? [null] : $parts as $part) {
                RehearseOn::dispatch($run->id, $part?->id);
            }
        }

        return $run->refresh();
    }

    private function kept(Proposal $proposal, ?int $setFor): ?RehearsalRun
    {
        $run = RehearsalRun::query()->where('course_id', $proposal->course->id)->where('subject', $proposal->subject)->where('base_revision_id', $proposal->base)
            ->where('set_for', $setFor === null ? null : gmdate('Y-m-d H:i:s', $setFor))->latest('id')->first();

        return $run === null || $run->made_at->getTimestamp() < $this->clock->now()->getTimestamp() - self::FRESH ? null : $run;
    }
}

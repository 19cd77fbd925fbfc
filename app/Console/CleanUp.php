<?php

declare(strict_types=1);

namespace App\Console;

use App\Access\LetKeptGo;
use App\Database\Value;
use App\Learning\Contents\LetContentsGo;
use App\Ledger\Proof\NoteHead;
use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\DayVisit;
use App\Models\ErasedPerson;
use App\Models\FormAnswer;
use App\Models\GivenUp;
use App\Models\Import;
use App\Models\IncomingEvent;
use App\Models\KeptAnswer;
use App\Models\Message;
use App\Models\NextRun;
use App\Models\OutsideEvent;
use App\Models\PeopleCount;
use App\Models\PeopleFile;
use App\Models\RehearsalRun;
use App\Models\SignInLink;
use App\Models\TriggerRun;
use App\Models\WatchReport;
use App\Notices\Met\Meetings;
use App\People\Import\Back\TakeImportBack;
use App\People\Import\LetUploadGo;
use App\People\Import\StagedImport;
use App\People\LeaveAct;
use App\Privacy\Erasing\EraseDeparted;
use App\Privacy\Erasing\RemoveTraces;
use App\School\Keeping\KeptDays;
use App\School\Keeping\KeptKind;
use App\Standins\Mail\Postbox;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Psr\Clock\ClockInterface;

/** Lets go of what nobody needs any more, a little at a time, so that nobody waits for it. */
final readonly class CleanUp
{
    /** Rows that go in one statement. */
    private const ROWS = 2000;

    /** Days for which things are kept. */
    private const PREPARED = 1;

    private const LOOKED_FOR = 7;

    private const COUNTED = 21;

    private const POSTBOX = 14;

    public function __construct(private ClockInterface $clock, private LeaveAct $leave, private Postbox $postbox, private Meetings $meetings, private LetContentsGo $contents, private KeptDays $kept, private LetUploadGo $letUploadGo, private EraseDeparted $eraseDeparted, private LetKeptGo $letKeptGo)
    {
    }

    /** @return array<string, int> how many of what are gone */
    public function __invoke(): array
    {
        $gone = ['acts that were prepared and not done' => 0];
        foreach (ActRecord::query()->whereIn('state', ['preparing', 'prepared', 'refused', 'left'])->where('made_at', '<', $this->before(self::PREPARED))->get() as $act) {
            ($this->leave)($act);
            $gone['acts that were prepared and not done']++;
        }

        return $gone + [
            'uploaded lists' => $this->imports(),
            'links to sign in' => self::delete(SignInLink::query()->where(fn (Builder $query) => $query->where('used_at', '<', $this->kept->before(KeptKind::Links))->orWhere('expires_at', '<', $this->kept->before(KeptKind::Links)))),
            'letters' => $this->old(KeptKind::Letters, Message::query(), 'written_at'),
            'files of letters' => $this->postbox->clearBefore($this->clock->now()->getTimestamp() - self::POSTBOX * 86400),
            'answers to what is asked once' => self::delete(KeptAnswer::query()->where('made_at', '<', $this->before(self::PREPARED))),
            'events of others' => $this->old(KeptKind::Events, IncomingEvent::query(), 'received_at'),
            'events told outside' => $this->old(KeptKind::Events, OutsideEvent::query()->where('state', '!=', 'waiting'), 'made_at'),
            'runs of triggers' => $this->old(KeptKind::Runs, TriggerRun::query()->where('state', '!=', 'waiting'), 'made_at'),
            // Not where the ledger ended each day: that is a proof.
            'lines of the activity log' => $this->old(KeptKind::Log, Activity::query()->withoutGlobalScopes()->where('action', '!=', NoteHead::ACTION), 'happened_at'),
            'answers to forms' => $this->old(KeptKind::FormAnswers, FormAnswer::query(), 'sent_at'),
            'people who waited for a next run' => $this->old(KeptKind::NextRuns, NextRun::query(), 'asked_at'),
            'people who left' => ($this->eraseDeparted)(),
            'people of whom traces are still looked for' => $this->tracesAgain(),
            'what was tried in drafts and given up' => self::delete(GivenUp::query()->where('made_at', '<', $this->before(self::PREPARED))),
            'what was counted on people' => self::delete(PeopleCount::query()->where('began_at', '<', $this->before(self::COUNTED))),
            'rehearsals' => self::delete(RehearsalRun::query()->where('made_at', '<', $this->before(self::PREPARED))),
            'files of people' => $this->files(),
            'closed doors that were met, counted by the week' => $this->meetings->fold(),
            'items that were taken out, with what they held' => ($this->contents)(),
            'what was seen, day by day' => $this->old(KeptKind::Visits, DayVisit::query(), 'last_at'),
            'what was kept of pages' => ($this->letKeptGo)(),
            'reports of watching, which are counted' => $this->old(KeptKind::Reports, WatchReport::query(), 'stored_at'),
        ];
    }

    /** Lists that were brought in leave their rows at once, and can be taken back for a month; those that were not are kept for a while to be gone on with. */
    private function imports(): int
    {
        $gone = 0;
        $days = $this->kept->of(KeptKind::Uploads) ?? 0;
        foreach (Import::query()->where('made_at', '<', $this->before($days))->where('path', '!=', '')->get() as $import) {
            ($this->letUploadGo)($import);
            $gone++;
        }
        // Each of them once: what is let go of is looked for in the days after.
        foreach (Import::query()->where('state', 'done')->whereBetween('finished_at', [$this->before(TakeImportBack::DAYS + self::LOOKED_FOR), $this->before(TakeImportBack::DAYS)])->get() as $import) {
            foreach (StagedImport::TABLES as $table) {
                StagedImport::deleteOf($table, $import);
            }
        }

        return $gone;
    }

    /** What is in them goes first, a little at a time. */
    private function files(): int
    {
        $old = PeopleFile::query()->where('asked_at', '<', $this->before(self::PREPARED));
        (clone $old)->update(['state' => 'gone', 'making' => null]);
        PeopleFile::emptyShut();

        return self::delete($old);
    }

    /** Where the queue has lost it, or given up: it starts again. */
    private function tracesAgain(): int
    {
        $waiting = ErasedPerson::query()->where('state', 'waiting')->where('erased_at', '<', $this->before(self::PREPARED))->limit(self::ROWS)->pluck('id');
        foreach (Value::ints($waiting) as $erased) {
            RemoveTraces::dispatch($erased);
        }

        return count($waiting);
    }

    /**
     * What is older than the school keeps it.
     *
     * @template T of Model
     *
     * @param  Builder<T>  $all
     */
    private function old(KeptKind $kind, Builder $all, string $column): int
    {
        $before = $this->kept->before($kind);

        return $before === null ? 0 : self::delete($all->where($column, '<', $before));
    }

    /**
     * @template T of Model
     *
     * @param  Builder<T>  $old
     */
    private static function delete(Builder $old): int
    {
        $key = $old->getModel()->getKeyName();
        $gone = 0;
        do {
            $some = (clone $old)->limit(self::ROWS)->pluck($key)->all();
            $gone += $some === [] ? 0 : Value::int((clone $old)->getModel()->newQuery()->whereIn($key, $some)->delete());
        } while (count($some) === self::ROWS);

        return $gone;
    }

    private function before(int $days): string
    {
        return gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() - $days * 86400);
    }
}

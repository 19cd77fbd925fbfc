<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\Value;
use App\Learning\Contents\LetContentsGo;
use App\Models\ActRecord;
use App\Models\GivenUp;
use App\Models\Import;
use App\Models\IncomingEvent;
use App\Models\KeptAnswer;
use App\Models\Message;
use App\Models\OutsideEvent;
use App\Models\PeopleCount;
use App\Models\RehearsalRun;
use App\Models\SignInLink;
use App\Models\TriggerRun;
use App\Models\WatchReport;
use App\Notices\Met\Meetings;
use App\People\Import\Back\TakeImportBack;
use App\People\Import\StagedImport;
use App\People\LeaveAct;
use App\Standins\Mail\Postbox;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Storage;
use Psr\Clock\ClockInterface;

/** Lets go of what nobody needs any more, a little at a time, so that nobody waits for it. */
final readonly class CleanUp
{
    /** Rows that go in one statement. */
    private const ROWS = 2000;

    /** Days for which things are kept. */
    private const PREPARED = 1;

    private const UPLOADED = 7;

    private const COUNTED = 21;

    private const BROUGHT_IN = ['done', 'taking back', 'taken back'];

    private const LINKS = 30;

    private const LETTERS = 400;

    private const POSTBOX = 14;

    private const REPORTS = 90;

    public function __construct(private ClockInterface $clock, private LeaveAct $leave, private Postbox $postbox, private Meetings $meetings, private LetContentsGo $contents)
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
            'links to sign in' => self::delete(SignInLink::query()->where(fn (Builder $query) => $query->where('used_at', '<', $this->before(self::LINKS))->orWhere('expires_at', '<', $this->before(self::LINKS)))),
            'letters' => self::delete(Message::query()->where('written_at', '<', $this->before(self::LETTERS))),
            'files of letters' => $this->postbox->clearBefore($this->clock->now()->getTimestamp() - self::POSTBOX * 86400),
            'answers to what is asked once' => self::delete(KeptAnswer::query()->where('made_at', '<', $this->before(self::PREPARED))),
            'events of others' => self::delete(IncomingEvent::query()->where('received_at', '<', $this->before(self::LETTERS))),
            'events told outside' => self::delete(OutsideEvent::query()->where('made_at', '<', $this->before(self::LETTERS))->where('state', '!=', 'waiting')),
            'runs of triggers' => self::delete(TriggerRun::query()->where('made_at', '<', $this->before(self::LETTERS))->where('state', '!=', 'waiting')),
            'what was tried in drafts and given up' => self::delete(GivenUp::query()->where('made_at', '<', $this->before(self::PREPARED))),
            'what was counted on people' => self::delete(PeopleCount::query()->where('began_at', '<', $this->before(self::COUNTED))),
            'rehearsals' => self::delete(RehearsalRun::query()->where('made_at', '<', $this->before(self::PREPARED))),
            'closed doors that were met, counted by the week' => $this->meetings->fold(),
            'items that were taken out, with what they held' => ($this->contents)(),
            'reports of watching, which are counted' => self::delete(WatchReport::query()->where('stored_at', '<', $this->before(self::REPORTS))),
        ];
    }

    /** Lists that were brought in leave their rows at once, and can be taken back for a month; those that were not are kept for a week to be gone on with. */
    private function imports(): int
    {
        $gone = 0;
        foreach (Import::query()->where('made_at', '<', $this->before(self::UPLOADED))->where('path', '!=', '')->get() as $import) {
            Storage::delete($import->path);
            self::delete($import->rows()->getQuery());
            $import->update(['path' => '', 'state' => in_array($import->state, self::BROUGHT_IN, true) ? $import->state : 'gone']);
            $gone++;
        }
        // Each of them once: what is let go of is looked for in the days after.
        foreach (Import::query()->where('state', 'done')->whereBetween('finished_at', [$this->before(TakeImportBack::DAYS + self::UPLOADED), $this->before(TakeImportBack::DAYS)])->get() as $import) {
            foreach (StagedImport::TABLES as $table) {
                StagedImport::deleteOf($table, $import);
            }
        }

        return $gone;
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

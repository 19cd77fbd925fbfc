<?php

declare(strict_types=1);

namespace App\Learning;

use App\Database\Dialects;
use App\Database\OneWriter;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * What is noted while a page is only read: when somebody was last here, what they looked at, which closed door was met. A page neither waits for
 * that nor fails with it: while somebody else writes, the note is laid aside as a file, and written down by the schedule.
 *
 * @phpstan-type Seen array{kind: 'seen', person: int, at: string}
 * @phpstan-type Looked array{kind: 'looked', person: int, course: int, item: string, via: string, at: string}
 * @phpstan-type Met array{kind: 'met', token: string, course: int, item: string, case: string, who: string, then: ?string, at: string, person?: ?int}
 */
final readonly class PassingNotes
{
    public function __construct(private Filesystem $files)
    {
    }

    /** @param  int  $at  instant */
    public function seen(int $person, int $at): void
    {
        $this->note(['kind' => 'seen', 'person' => $person, 'at' => gmdate('Y-m-d H:i:s', $at)]);
    }

    /**
     * @param  string  $via  route by which the item was open
     * @param  int  $at  instant
     */
    public function looked(int $person, int $course, string $item, string $via, int $at): void
    {
        $this->note(['kind' => 'looked', 'person' => $person, 'course' => $course, 'item' => $item, 'via' => $via, 'at' => gmdate('Y-m-d H:i:s', $at)]);
    }

    /**
     * @param  string  $token  of one door in one session on one day: told again with what was done next, it is the same meeting
     * @param  ?string  $then  taken, signed-in or went-on; null: nothing yet
     * @param  int  $at  instant
     * @param  ?int  $person  whoever is signed in, where it is the meeting itself that is noted
     */
    public function met(string $token, int $course, string $item, string $case, string $who, ?string $then, int $at, ?int $person = null): void
    {
        $this->note(['kind' => 'met', 'token' => $token, 'course' => $course, 'item' => $item, 'case' => $case, 'who' => $who, 'then' => $then, 'at' => gmdate('Y-m-d H:i:s', $at), 'person' => $person]);
    }

    /**
     * Writes down what was laid aside. Twice does no harm: a note says the same each time.
     *
     * @return int how many
     */
    public function writeDown(): int
    {
        $written = 0;
        foreach ($this->files->isDirectory(self::folder()) ? $this->files->files(self::folder()) : [] as $file) {
            $note = $file->getExtension() === 'json' ? json_decode($this->files->get($file->getPathname()), true) : null;
            if (is_array($note)) {
                /** @var Seen|Looked|Met $note as laid aside */
                if (self::stillThere($note)) {
                    self::write($note);
                }
                $this->files->delete($file->getPathname());
                $written++;
            }
        }

        return $written;
    }

    /** @param  Seen|Looked|Met  $note */
    private function note(array $note): void
    {
        $connection = DB::connection();
        $write = static fn () => self::write($note);
        if ($connection instanceof OneWriter && $connection->transactionLevel() === 0) {
            $connection->atOnceOrNot($write) || $this->layAside($note);
        } else {
            $write();
        }
    }

    /** @param  Seen|Looked|Met  $note */
    private function layAside(array $note): void
    {
        // Of two that find none at once both make it, and neither fails.
        $this->files->makeDirectory(self::folder(), 0700, true, true);
        $name = self::folder().'/'.bin2hex(random_bytes(12));
        $this->files->put("{$name}.part", json_encode($note, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
        // Whoever reads finds all of it or nothing.
        $this->files->move("{$name}.part", "{$name}.json");
    }

    /**
     * Somebody, or a course, may be gone by the time that a note is written down.
     *
     * @param  Seen|Looked|Met  $note
     */
    private static function stillThere(array $note): bool
    {
        return (($note['person'] ?? null) === null || DB::table('people')->where('id', $note['person'])->exists()) && ($note['kind'] === 'seen' || DB::table('courses')->where('id', $note['course'])->exists());
    }

    /** @param  Seen|Looked|Met  $note */
    private static function write(array $note): void
    {
        if ($note['kind'] === 'seen') {
            // What was laid aside may come after what was noted later.
            DB::table('people')->where('id', $note['person'])->where(fn ($query) => $query->whereNull('seen_at')->orWhere('seen_at', '<', $note['at']))->update(['seen_at' => $note['at']]);

            return;
        }
        if ($note['kind'] === 'met') {
            // Taking an offer says more than signing in, and that more than going on elsewhere; which comes first does not matter.
            DB::table('notice_meetings')->upsert(
                ['token' => $note['token'], 'course_id' => $note['course'], 'item_key' => $note['item'], 'case' => $note['case'], 'who' => $note['who'], 'then' => $note['then'], 'met_at' => $note['at']],
                ['token'],
                ['then' => DB::raw(<<<'SQL'
                    case when 'taken' in (notice_meetings."then", excluded."then") then 'taken' when 'signed-in' in (notice_meetings."then", excluded."then") then 'signed-in' else coalesce(excluded."then", notice_meetings."then") end
                    SQL)],
            );
            if (isset($note['person'])) {
                self::visit($note['person'], $note['course'], $note['item'], $note['case'], $note['at']);
            }

            return;
        }
        self::visit($note['person'], $note['course'], $note['item'], '', $note['at']);
        DB::table('looks')->upsert(
            ['person_id' => $note['person'], 'course_id' => $note['course'], 'item_key' => $note['item'], 'via' => $note['via'], 'first_at' => $note['at'], 'last_at' => $note['at']],
            ['person_id', 'course_id', 'item_key'],
            ['last_at' => DB::raw(Dialects::spoken()->greatest('looks.last_at', 'excluded.last_at'))],
        );
    }

    /**
     * @param  string  $met  the kind of closed door; empty: it was open
     * @param  string  $at  instant, as it is stored
     */
    private static function visit(int $person, int $course, string $item, string $met, string $at): void
    {
        // The same note once more is the same visit.
        DB::table('visits')->upsert(
            ['person_id' => $person, 'course_id' => $course, 'item_key' => $item, 'met' => $met, 'day' => substr($at, 0, 10), 'times' => 1, 'first_at' => $at, 'last_at' => $at],
            ['person_id', 'course_id', 'item_key', 'met', 'day'],
            ['times' => DB::raw('visits.times + case when excluded.last_at > visits.last_at then 1 else 0 end'), 'last_at' => DB::raw(Dialects::spoken()->greatest('visits.last_at', 'excluded.last_at'))],
        );
    }

    private static function folder(): string
    {
        // Each server notes for itself what it has not written down yet.
        return Storage::disk('local')->path('notes');
    }
}

<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\SchoolOf;
use App\Database\Value;
use App\Models\Course;
use Illuminate\Support\Facades\DB;

/** What was open, locked or hidden, and why: decided once more from the rules and facts that the ledger says were known then. */
final readonly class Past
{
    public function __construct(private SchoolOf $school, private PastRules $revisions)
    {
    }

    /** From when on the ledger knows all; before, what the history of the school can tell. */
    public static function wholeSince(): int
    {
        return Value::int(DB::table('ledger')->whereNull('person_id')->where('subject', 'ledger')->where('what', 'whole')->orderByDesc('id')->value('at'));
    }

    /** Null where the course was not published. A constant number of queries. */
    public function of(Course $course, Onlooker $looker, Moment $moment): ?PastAnswer
    {
        return $this->by(Facts::after(Entries::of($looker->people(), $course->id, $moment)), $course, $looker, $moment->at);
    }

    /**
     * The same, and as it is known now: with what was entered later and counts from before. Null where the course was not published. As many
     * queries.
     *
     * @return ?array{PastAnswer, ?PastAnswer, list<Entry>} what was answered; what would have been, null where no more is known or the course was not published;
     *                                                      and by which entries more is known
     */
    public function andKnownNow(Course $course, Onlooker $looker, Moment $moment): ?array
    {
        $entries = iterator_to_array(Entries::of($looker->people(), $course->id), preserve_keys: false);
        $facts = Facts::after(array_filter($entries, $moment->had(...)));
        $then = $this->by($facts, $course, $looker, $moment->at);
        if ($then === null) {
            return null;
        }
        $known = Later::put($facts, $entries, $moment);

        return [$then, $known === [] ? null : $this->by($facts, $course, $looker, $moment->at), $known];
    }

    /** By facts that are known already. */
    public function by(Facts $facts, Course $course, Onlooker $looker, int $at): ?PastAnswer
    {
        $school = PastSchool::of($facts, $course->id, ($this->school)());
        $revision = $school->revision() === null ? null : $this->revisions->of($school->revision());
        if ($revision === null) {
            return null;
        }
        $plans = $this->revisions->plans($school);
        $rows = new PastRows($facts, $school);

        return new PastAnswer($plans->ask($plans->of($revision->document), $looker->viewer($rows, $course->id), $at), $revision->number, $revision->document, $school->school, $looker->wasThere($rows));
    }
}

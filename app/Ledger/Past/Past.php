<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Kept;
use App\Access\SchoolOf;
use App\Access\ViewerRows;
use App\Access\Viewers;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Viewing\Viewer;

/** What was open, locked or hidden, and why: decided once more from the rules and facts that the ledger says were known then. */
final readonly class Past
{
    public function __construct(private SchoolOf $school, private Kept $kept)
    {
    }

    /** From when on the ledger knows all; before, what the history of the school can tell. */
    public static function wholeSince(): int
    {
        return Value::int(DB::table('ledger')->whereNull('person_id')->where('subject', 'ledger')->where('what', 'whole')->orderByDesc('id')->value('at'));
    }

    /** Null where the course was not published. A constant number of queries. */
    public function of(Course $course, PastLooker $looker, Moment $moment): ?PastAnswer
    {
        $school = PastSchool::at($moment, $course->id, ($this->school)());
        $revision = $school->revision();
        if ($revision === null) {
            return null;
        }
        $document = CourseDocument::fromJson($revision->document);
        $plans = $school->plans($this->kept);
        [$viewer, $wasThere] = self::viewer($course->id, $looker, new PastRows($moment, $school));

        return new PastAnswer($plans->ask($plans->of($document), $viewer, $moment->at), $revision, $document, $school->school, $wasThere);
    }

    /** @return array{Viewer, bool} and whether they were there */
    private static function viewer(int $course, PastLooker $looker, PastRows $rows): array
    {
        $people = array_values(array_filter([$looker->person, $looker->observed], is_int(...)));
        if ($people === []) {
            return [$looker->guest ? Viewers::guest() : Viewers::visitor(), true];
        }
        $staff = $rows->staff($people);
        $viewers = iterator_to_array((new ViewerRows($rows))->each(array_replace(array_fill_keys($people, false), $staff), [$course]));
        $own = $looker->person === null ? Viewers::visitor() : $viewers[$looker->person][$course];
        $observes = $looker->observed !== null && $looker->person !== null && $rows->observed($looker->person, $looker->observed);

        return [Viewers::lookingWith($own, $observes ? $viewers[$looker->observed][$course] : null, $looker->guest), $looker->person === null || isset($staff[$looker->person])];
    }
}

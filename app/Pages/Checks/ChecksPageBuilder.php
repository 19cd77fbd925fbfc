<?php

declare(strict_types=1);

namespace App\Pages\Checks;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Checks\Besides;
use App\Checks\CourseFindings;
use App\Checks\Mends;
use App\Checks\TouchedCounts;
use App\Database\Value;
use App\Models\AcceptedFinding;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\PeopleCount;
use App\Pages\Courses\CourseHeadBuilder;
use App\Sightlines\Why\Fix;
use App\Sightlines\Why\FixByRule;
use App\Words\FindingWords;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Touches;
use SilentKeep\Core\Time\Instant;

final readonly class ChecksPageBuilder
{
    public function __construct(
        private CourseHeadBuilder $heads,
        private CourseFindings $findings,
        private TouchedCounts $counting,
        private Plans $plans,
        private SchoolClock $clock,
    ) {
    }

    public function page(Course $course, bool $mayEdit): ChecksPage
    {
        [$live, $draft] = $this->heads->documents($course);
        $document = $draft ?? $live ?? throw new \LogicException('A course has a revision or a draft.');
        $all = $this->findings->all($course, $document);
        $accepted = $this->findings->accepted($course);
        $count = $this->counting->of($course, $draft !== null, $all);
        $words = new FindingWords($this->plans->of($document)->course, $this->clock->words(...));
        $open = $kept = [];
        foreach ($all as $finding) {
            $one = $accepted[CourseFindings::digest($finding)] ?? null;
            if ($one?->cause === $finding->cause) {
                $kept[] = $this->acceptedRow($one, $words->what($finding));
            } else {
                $open[] = self::row($course, $document, $finding, $words, $count);
            }
        }

        return new ChecksPage(
            $this->heads->of($course, $document), $open, $kept, array_map(static fn (Besides $one): BesidesRow => new BesidesRow($one->what, $one->why, $one->where), $this->heads->besidesRules($course, $document)), $draft !== null,
            $count !== null && $count->finished_at === null, $count->looked ?? 0, $count->of ?? 0, $mayEdit,
        );
    }

    private static function row(Course $course, CourseDocument $document, Finding $finding, FindingWords $words, ?PeopleCount $count): FindingRow
    {
        $digest = CourseFindings::digest($finding);
        $counts = $finding->kind->touches() !== Touches::Nobody;
        $fixes = Mends::of($finding, $document);
        $items = $document->readItems();
        $titles = static fn (Fix $fix): array => array_map(static fn (string $key): string => ($items[$key] ?? null)?->title() ?? $key, $fix->items);

        return new FindingRow(
            $digest, $finding->cause, $finding->kind->value, $finding->kind->level()->value, $words->what($finding), $words->why($finding),
            $counts && $count?->finished_at !== null ? Value::int($count->result[$digest] ?? 0) : null, $counts,
            array_map(static fn (Fix $fix): FixByRule => $fix->step(), $fixes),
            $fixes === [] ? null : Sentence::of(RuleWords::enumeration(array_map(static fn (Fix $fix): string => $fix->clause($titles($fix)), $fixes), 'and')),
            ...self::where($course, $finding),
        );
    }

    /** @return array{where: string, whereWords: string} */
    private static function where(Course $course, Finding $finding): array
    {
        if ($finding->items !== [] && $finding->kind !== CheckKind::TrialSooner) {
            return ['where' => route('keep.course', ['course' => $course, 'row' => $finding->items[0]], false), 'whereWords' => Say::text('checks.page.to_row')];
        }
        if ($finding->offers !== [] || in_array($finding->kind, [CheckKind::NoWayIn, CheckKind::TierNotGiven], true)) {
            return ['where' => route('keep.offers', ['course' => $course->key], false).'#'.$course->key, 'whereWords' => Say::text('checks.page.to_offers')];
        }

        return ['where' => route('keep.course', $course, false), 'whereWords' => Say::text('checks.page.to_course')];
    }

    private function acceptedRow(AcceptedFinding $accepted, Sentence $what): AcceptedRow
    {
        $at = $accepted->accepted_at->getTimestamp();

        return new AcceptedRow($accepted->subject, $what, $accepted->reason, $accepted->person?->name, $this->clock->words($at), Instant::format($at));
    }
}

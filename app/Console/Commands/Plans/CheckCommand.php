<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Access\PlanFile;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Checks\CourseFindings;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Words\FindingWords;
use App\Words\Say;
use Illuminate\Console\Command;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Circumstances;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Level;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Errors\CoreException;
use SilentKeep\Core\Outline\Course as CoreCourse;
use SilentKeep\Core\Time\Instant;
use Symfony\Component\Console\Output\OutputInterface;

/** Exit status: 0 nothing of the level asked for, 1 findings, 2 the plan or an option cannot be read. */
final class CheckCommand extends Command
{
    use PrintsJson;

    protected $signature = 'keep:check {plan? : a plan document; left out: what is live in this school}
        {--course= : key; left out: every course}
        {--at= : instant at which newcomers begin; left out: now}
        {--label=* : that people have or something gives besides offers; left out: labels are not looked into}
        {--trial=* : key of an offer that is a trial}
        {--sample-share= : that samples may give away, from 0 to 1}
        {--format=text : text, json or sarif}
        {--fail-on=fault : least level that makes the command fail: fault, doubt or idle}';

    protected $description = 'Look for what in the rules of courses somebody hardly meant';

    public function handle(CourseFindings $findings, Plans $plans, SchoolClock $clock): int
    {
        $least = Level::tryFrom($this->text('fail-on'));
        if ($least === null || ! in_array($this->text('format'), ['text', 'json', 'sarif'], true)) {
            $this->output->getErrorStyle()->writeln(Say::text('checks.file.unknown_option'), OutputInterface::OUTPUT_RAW);

            return self::INVALID;
        }
        try {
            $checked = is_string($this->argument('plan')) ? $this->ofFile($this->argument('plan'), $clock) : $this->ofSchool($findings, $plans, $clock);
        } catch (CoreException $e) {
            $this->refuse($e);

            return self::INVALID;
        }
        $this->tell($checked, $clock);
        $levels = array_map(static fn (Level $level): string => $level->value, Level::cases());
        $counted = array_slice($levels, 0, (int) array_search($least->value, $levels, true) + 1);
        foreach ($checked as $one) {
            foreach ($one->findings as $finding) {
                if (in_array($finding->kind->level()->value, $counted, true)) {
                    return self::FAILURE;
                }
            }
        }

        return self::SUCCESS;
    }

    /** @return list<CheckedCourse> */
    private function ofFile(string $path, SchoolClock $clock): array
    {
        $plan = PlanFile::read($path);
        $at = $this->textOrNull('at');
        $labels = $this->texts('label');
        $share = $this->textOrNull('sample-share');
        $known = new Circumstances($at === null ? $clock->now() : Instant::parse($at), $labels === [] ? null : $labels, trials: $this->texts('trial'), sampleShare: is_numeric($share) ? (float) $share : Circumstances::SAMPLE_SHARE);
        $asked = $this->textOrNull('course');

        return array_map(
            static fn (CoreCourse $course): CheckedCourse => new CheckedCourse($course, Checks::findings(new Survey($plan, $course, $known))),
            array_values(array_filter($plan->courses, static fn (CoreCourse $course): bool => $asked === null || $course->key === $asked)),
        );
    }

    /** @return list<CheckedCourse> with what has been accepted left out */
    private function ofSchool(CourseFindings $findings, Plans $plans, SchoolClock $clock): array
    {
        $checked = [];
        $asked = $this->textOrNull('course');
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->orderBy('id')->get();
        $findings->prepare(array_values($courses->all()));
        foreach ($courses as $course) {
            if (($asked === null || $course->key === $asked) && $course->liveRevision !== null) {
                $document = $plans->named(CourseDocument::fromJson($course->liveRevision->document));
                $checked[] = new CheckedCourse($plans->of($document)->course, $findings->open($course, $document));
            }
        }

        return $checked;
    }

    /** @param  list<CheckedCourse>  $checked */
    private function tell(array $checked, SchoolClock $clock): void
    {
        $file = $this->argument('plan');
        $when = is_string($file) ? Instant::format(...) : $clock->words(...);
        $text = match ($this->text('format')) {
            'json' => $this->json(array_merge([], ...array_map(static fn (CheckedCourse $one): array => array_map(static fn (Finding $finding): array => ['course' => $one->course->key, ...$finding->toArray(), 'text' => (string) (new FindingWords($one->course, $when))->what($finding)], $one->findings), $checked))),
            'sarif' => $this->json(Sarif::of($checked, is_string($file) ? $file : null, $when)),
            default => implode("\n", [...array_merge([], ...array_map(static fn (CheckedCourse $one): array => $one->lines($when), $checked)), Say::text('checks.file.counted', ['count' => array_sum(array_map(static fn (CheckedCourse $one): int => count($one->findings), $checked))])]),
        };
        $this->output->writeln($text, OutputInterface::OUTPUT_RAW);
    }
}

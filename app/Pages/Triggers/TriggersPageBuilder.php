<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Learning\Quizzes\QuizRules;
use App\Models\Content;
use App\Models\Form;
use App\Models\OutsideSystem;
use App\Models\Person;
use App\Models\Trigger;
use App\Models\TriggerRun;
use App\People\PeoplesLabels;
use App\Triggers\Happening\Happening;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\TriggerWords;
use App\Triggers\TryTrigger;

/** Puts together what an administrator sees of triggers and their runs. */
final readonly class TriggersPageBuilder
{
    private const LABELS = 200;

    /** Runs that are listed, and people of a rehearsal who are named. */
    private const LISTED = 50;

    private const NAMED = 20;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private TriggerWords $words, private TryTrigger $try)
    {
    }

    public function page(?Trigger $open, bool $mayEdit): TriggersPage
    {
        $now = $this->clock->now();
        $counted = TriggerRun::query()->toBase()->where('made_at', '>', Happening::stamp($now - 30 * 86400))->selectRaw('trigger_id, made_at, state')->orderBy('id')->get()->groupBy('trigger_id');
        $rows = [];
        foreach (Trigger::query()->orderBy('name')->get() as $trigger) {
            $days = array_fill(0, 30, 0);
            $states = [];
            foreach ($counted->get($trigger->id) ?? [] as $run) {
                $ago = min(29, intdiv(max(0, $now - (strtotime((string) (is_string($run->made_at) ? $run->made_at : '').' UTC') ?: $now)), 86400));
                $days[29 - $ago]++;
                $state = is_string($run->state) ? $run->state : '';
                $states[$state] = ($states[$state] ?? 0) + 1;
            }
            $rows[] = new TriggerRow($trigger->id, $trigger->name, $trigger->on, $this->words->sentence(TriggerSpec::of($trigger->spec)), array_values($days), $states['waiting'] ?? 0, ($states['failed'] ?? 0) + ($states['stopped'] ?? 0));
        }

        return new TriggersPage($rows, $open === null ? null : $this->form($open), $this->shelf->picks(), $this->shelf->offers(), PeoplesLabels::known(self::LABELS), array_values(Form::query()->orderBy('name')->get(['id', 'name'])->map(static fn (Form $form): NumberPick => new NumberPick($form->id, $form->name))->all()),
            array_values(OutsideSystem::query()->orderBy('name')->get(['id', 'name'])->map(static fn (OutsideSystem $one): NumberPick => new NumberPick($one->id, $one->name))->all()), $this->bands(), $mayEdit);
    }

    /** @return list<QuizBands> */
    private function bands(): array
    {
        $bands = [];
        foreach (Content::query()->whereNotNull('quiz_rules')->orderBy('id')->get(['id', 'course_id', 'item_key', 'quiz_rules']) as $content) {
            $names = array_column(QuizRules::of($content->quiz_rules)->bands, 'name');
            $course = $this->shelf->course($content->course_id);
            if ($names !== [] && $course !== null) {
                $bands[] = new QuizBands($course->key, $content->item_key, $names);
            }
        }

        return $bands;
    }

    private function form(Trigger $trigger): TriggerForm
    {
        $spec = TriggerSpec::of($trigger->spec);
        $runs = TriggerRun::query()->with('person')->where('trigger_id', $trigger->id)->orderByDesc('id')->limit(self::LISTED)->get();

        return new TriggerForm(
            $trigger->id, $trigger->version, $trigger->name, $trigger->on, $spec->when, $spec->only, $spec->steps,
            $trigger->on && $trigger->since !== null ? $this->clock->words($trigger->since->getTimestamp()) : null,
            array_values($runs->map(fn (TriggerRun $run): RunRow => new RunRow(
                $run->id, $run->person_id, $run->person->name, $this->clock->words($run->happened_at->getTimestamp()), $run->cause, $run->state,
                array_column($run->did, 'told'), $run->problem, $run->state === 'waiting' && $run->tries > 0 && $run->due_at !== null ? $this->clock->words($run->due_at->getTimestamp()) : null,
                $run->state === 'done' && array_filter(array_column($run->did, 'act')) !== [],
            ))->all()),
            count($this->try->lately($spec)),
        );
    }

    public function tried(TriggerSpec $spec, string $name, ?Person $person): TriedOn
    {
        $lately = $this->try->lately($spec);
        $named = array_slice($lately, 0, self::NAMED);
        $names = Person::query()->whereIn('id', array_map(static fn (Happening $one): int => $one->personId, $named))->pluck('name', 'id');
        [$against, $steps] = $person === null ? [null, []] : $this->try->on($spec, $name, $person);

        return new TriedOn(
            $this->words->sentence($spec), count($lately),
            array_map(fn (Happening $one): string => (is_string($names[$one->personId] ?? null) ? $names[$one->personId] : '').', '.$this->clock->words($one->at), $named),
            $person?->name, $against, $steps,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People;

use App\Access\FoundPerson;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\Shelf\CourseShelf;
use App\Access\Viewers;
use App\Learning\CourseSummaries;
use App\Learning\Quizzes\Quiz;
use App\Learning\Quizzes\QuizRules;
use App\Learning\Quizzes\Tried;
use App\Learning\Watching\UnderWay;
use App\Models\Activity;
use App\Models\Completion;
use App\Models\Content;
use App\Models\Grant;
use App\Models\ObserverTie;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\QuizTry;
use App\Pages\Shared\LetterChoiceRow;
use App\People\HeldLabel;
use App\People\PassWords;
use App\People\PeoplesLabels;
use App\School\Letters\LetterChoices;
use App\School\Letters\LetterTexts;
use App\School\Log\ActivityWords;
use App\Words\Say;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\Instant;

/** Puts together what is known of one person. */
final readonly class PersonPageBuilder
{
    /** Lines of history that are told. */
    private const HISTORY = 300;

    public function __construct(private SchoolClock $clock, private SchoolOf $school, private CourseShelf $shelf, private PassWords $words, private ActivityWords $history, private UnderWay $underWay, private PeoplesLabels $labels, private Viewers $viewers, private CourseSummaries $summaries, private LetterTexts $letterTexts, private LetterChoices $letterChoices)
    {
    }

    public function page(Person $person, bool $mayRun): PersonPage
    {
        $passes = Pass::query()->with('offer')->where('person_id', $person->id)->orderByDesc('starts_at')->orderByDesc('id')->get();
        $givers = Person::query()->whereIn('id', $passes->pluck('given_by')->filter()->all())->pluck('name', 'id');
        $held = [];
        foreach ($passes as $pass) {
            $giver = $pass->given_by === null ? null : $givers->get($pass->given_by);
            $held[] = $this->held($pass, is_string($giver) ? $giver : null);
        }
        $courses = array_values(array_unique($passes->map(static fn (Pass $pass): int => $pass->course_id)->all()));

        return new PersonPage(
            id: $person->id,
            name: $person->name,
            email: $person->isConfirmed() ? $person->address() : Say::text('pages.person_page_builder.not_confirmed', ['address' => $person->address()]),
            role: $person->role?->value,
            seen: $person->seen_at === null ? null : $this->clock->words($person->seen_at->getTimestamp()),
            passes: $held,
            grants: $this->grants($person),
            labels: array_map(fn (HeldLabel $held): LabelLine => new LabelLine($held->label, $held->source, $held->byPass, $held->until === null ? null : $this->clock->words($held->until)), $this->labels->of([$person->id])[$person->id] ?? []),
            observers: array_values(ObserverTie::query()->with('observer')->where('learner_id', $person->id)->get()->map(static fn (ObserverTie $tie): FoundPerson => self::found($tie->observer))->all()),
            observes: array_values(ObserverTie::query()->with('learner')->where('observer_id', $person->id)->get()->map(static fn (ObserverTie $tie): FoundPerson => self::found($tie->learner))->all()),
            progress: $this->progress($person, $courses),
            quizzes: $this->quizzes($person),
            history: $this->history($person),
            courses: $this->shelf->picksWithRows($courses),
            offers: $this->shelf->offers(),
            mayRun: $mayRun,
            letters: LetterChoiceRow::of($person, $this->letterTexts, $this->letterChoices),
            erased: $person->erased_at !== null,
        );
    }

    private static function found(Person $person): FoundPerson
    {
        return new FoundPerson($person->id, $person->name, $person->address());
    }

    private function held(Pass $pass, ?string $giver): HeldPass
    {
        $end = $pass->ends_at?->getTimestamp();
        $grace = ($this->school)()->grace_days;
        $erased = match (true) {
            $pass->erased_at !== null => Say::text('pages.person_page_builder.what_was_finished_by', ['when' => $this->clock->words($pass->erased_at->getTimestamp())]),
            $pass->offer->erases && $end !== null => Say::text('pages.person_page_builder.what_was_finished_erased', ['when' => $this->clock->words($pass->warned_at !== null && $pass->erases_at !== null ? $pass->erases_at->getTimestamp() : $this->clock->plusDays($end, $grace))]),
            default => null,
        };

        return new HeldPass(
            $pass->id,
            $this->courseKey($pass->course_id),
            $this->shelf->title($pass->course_id),
            $pass->offer->key,
            $pass->offer->name,
            $this->words->standing($pass),
            $this->clock->words($pass->starts_at->getTimestamp()),
            $end === null ? null : $this->clock->words($end),
            $this->words->left($pass),
            $pass->paced_from === null ? null : $this->clock->words($pass->paced_from->getTimestamp()),
            $pass->source.($giver === null ? '' : ", {$giver}"),
            $erased,
        );
    }

    private function courseKey(int $id): string
    {
        return $this->shelf->course($id)->key ?? '';
    }

    /** @return list<HeldGrant> */
    private function grants(Person $person): array
    {
        $grants = [];
        $now = $this->clock->now();
        foreach (Grant::query()->where('person_id', $person->id)->orderByDesc('id')->get() as $grant) {
            $end = $grant->ends_at?->getTimestamp();
            $grants[] = new HeldGrant(
                $grant->id, $this->shelf->title($grant->course_id), $grant->item_key, $this->shelf->itemTitle($grant->course_id, $grant->item_key),
                $this->clock->words($grant->starts_at->getTimestamp()), $end === null ? null : $this->clock->words($end), $end === null || $end > $now,
            );
        }

        return $grants;
    }

    /**
     * @param  list<int>  $courses
     * @return list<CourseProgress>
     */
    private function progress(Person $person, array $courses): array
    {
        $done = [];
        foreach (Completion::query()->where('person_id', $person->id)->orderBy('completed_at')->get() as $completion) {
            $done[$completion->course_id][$completion->item_key] = $completion->completed_at->getTimestamp();
        }
        $begun = $this->underWay->of($person, $done);
        $ids = array_values(array_unique([...$courses, ...array_keys($done), ...array_keys($begun)]));
        // As their own pages count: what is for them.
        $sums = $this->summaries->all(fn (array $published): array => $this->viewers->in(new Collection([$person]), array_intersect($published, $ids))[$person->id] ?? [], $person->id);
        $progress = [];
        foreach ($ids as $course) {
            $finished = array_intersect_key($done[$course] ?? [], array_flip($this->shelf->lessons($course)));
            $last = $finished === [] ? null : $this->shelf->itemTitle($course, (string) array_search(max($finished), $finished, true)).', '.$this->clock->words(max($finished));
            $progress[] = new CourseProgress($this->courseKey($course), $this->shelf->title($course), $sums[$course]->finished ?? 0, $sums[$course]->lessons ?? 0, $last, $begun[$course] ?? []);
        }

        return $progress;
    }

    /** @return list<TriedQuiz> the last tried first */
    private function quizzes(Person $person): array
    {
        $asked = Content::query()->whereIn('item_key', QuizTry::query()->where('person_id', $person->id)->select('item_key'))->get()->keyBy(static fn (Content $content): string => "{$content->course_id} {$content->item_key}");
        $rows = [];
        foreach (Tried::all($person->id, static fn (int $course, string $item): QuizRules => QuizRules::of($asked->get("{$course} {$item}")?->quiz_rules)) as $tried) {
            $last = $tried->tries->last() ?? throw new \LogicException('Who has tried has tried once.');
            $next = $tried->next();
            $rows[] = new TriedQuiz(
                $this->courseKey($last->course_id), $last->item_key, $this->shelf->itemTitle($last->course_id, $last->item_key),
                Say::text('pages.person_page_builder.tried', ['tries' => $tried->tries->count(), 'of' => $tried->allowed() ?? -1, 'best' => Quiz::percent($tried->best()), 'when' => $this->clock->words($last->tried_at->getTimestamp())]),
                ($asked->get("{$last->course_id} {$last->item_key}")->quiz ?? []) !== [] && ($next === null || $next > $this->clock->now()), $tried->more,
            );
        }

        return $rows;
    }

    /** @return list<HistoryLine> */
    private function history(Person $person): array
    {
        $lines = Activity::query()->where('person_id', $person->id)->orderByDesc('happened_at')->orderByDesc('id')->limit(self::HISTORY)->get();
        $actors = Person::query()->whereIn('id', $lines->pluck('actor_id')->filter()->unique()->all())->pluck('name', 'id')->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
        $offers = Offer::query()->pluck('name', 'key')->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
        $history = [];
        foreach ($lines as $line) {
            $by = $line->actor_id === null ? Say::text('pages.person_page_builder.the_program') : ($line->actor_id === $person->id ? null : $actors[$line->actor_id] ?? null);
            $history[] = new HistoryLine($this->clock->words($line->happened_at->getTimestamp()), $this->history->of($line, $offers), $by, Instant::format($line->happened_at->getTimestamp()));
        }

        return $history;
    }
}

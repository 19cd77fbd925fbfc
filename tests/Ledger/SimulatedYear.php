<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Access\Looker;
use App\Access\Plans;
use App\Access\Viewers;
use App\Learning\MarkFinished;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Ledger\Proof\Head;
use App\Models\ActRecord;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Import;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Purchase;
use App\Models\Revision;
use App\Models\School;
use App\Offers\Sales\Buy;
use App\Offers\Sales\ShopEvents;
use App\Offers\Sales\Ware;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilentKeep\Core\Deciding\Decision;

/**
 * A year in the life of the demo school, made by chance: people, administrators, the shop and the schedule do what they do, through the
 * same doors as ever. What every viewer was answered is written down at each step.
 */
final class SimulatedYear
{
    use ChangesTheSchool;

    private const WORK = ['give', 'give', 'give', 'extend', 'pause', 'resume', 'end', 'withdraw', 'give-back', 'change', 'label', 'label', 'unlabel', 'grant', 'grant', 'take-back', 'finish', 'observe', 'unobserve', 'undo'];

    /** @var list<array{at: int, entry: int, course: string, looker: PastLooker, told: string}> */
    private array $answers = [];

    /** @var array<string, int> how often something was done, by its name */
    public array $did = [];

    public function __construct(int $seed, private readonly \Closure $asker)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->now = Carbon::now()->getTimestamp();
    }

    /**
     * @param  int  $within  seconds over which the steps are spread
     * @param  ?string  $file  to which answers are written as they are given, for whoever lives on when this process is killed
     */
    public function live(int $steps, int $within = 365 * 86400, ?string $file = null): void
    {
        for ($step = 0; $step < $steps; $step++) {
            $this->now += $this->dice->getInt(1, (int) (2 * $within / $steps));
            Carbon::setTestNow(Carbon::createFromTimestamp($this->now, 'UTC'));
            $what = $this->one(['work', 'work', 'work', 'work', 'learn', 'learn', 'learn', 'publish', 'publish', 'take back', 'settings', 'offers', 'roles', 'shop', 'shop', 'schedule', 'clock', 'leave', 'file']);
            $did = $this->do($what);
            $this->did[$did] = ($this->did[$did] ?? 0) + 1;
            $given = count($this->answers);
            $this->writeDown();
            $file === null || file_put_contents($file, base64_encode(serialize(array_slice($this->answers, $given)))."\n", FILE_APPEND);
        }
    }

    /** @return list<string> of all that was answered what the past answers otherwise now */
    public function differences(): array
    {
        $differences = [];
        $past = app(Past::class);
        foreach ($this->answers as $one) {
            $answer = $past->of($this->course($one['course']), $one['looker'], new Moment($one['at']));
            $told = $answer === null ? 'not published' : self::told($answer->answer->decisions());
            if ($told !== $one['told']) {
                $differences[] = sprintf('%s at %s (entry %d), person %s with %s: %s, and not %s', $one['course'], gmdate('Y-m-d H:i:s', $one['at']), $one['entry'], $one['looker']->person ?? 'nobody', $one['looker']->observed ?? 'nobody', $told, $one['told']);
            }
        }

        return $differences;
    }

    /** Answers that another wrote down; a last line that was not finished is none. */
    public function recall(string $file): void
    {
        foreach (is_file($file) ? explode("\n", (string) file_get_contents($file), -1) : [] as $line) {
            $answers = unserialize((string) base64_decode($line, strict: true), ['allowed_classes' => [PastLooker::class]]);
            foreach (is_array($answers) ? $answers : [] as $one) {
                $this->answers[] = $one;
            }
        }
    }

    /** The last instant of which an answer was written down; 0: none was. */
    public function latest(): int
    {
        return max([0, ...array_column($this->answers, 'at')]);
    }

    public function count(): int
    {
        return count($this->answers);
    }

    private function do(string $what): string
    {
        return match ($what) {
            'work' => $this->work(),
            'learn' => $this->learn(),
            'publish' => $this->publish(),
            'take back' => $this->takeBack(),
            'settings' => $this->settings(),
            'offers' => $this->offers(),
            'roles' => $this->roles(),
            'shop' => $this->shop(),
            'schedule' => $this->schedule(),
            'leave' => $this->leave(),
            'file' => $this->file(),
            default => $what,
        };
    }

    private function work(): string
    {
        $do = $this->one(self::WORK);
        $people = array_values(array_unique([$this->one($this->ids()), $this->one($this->ids())]));
        $course = $this->course($this->one(self::COURSES));
        if ($do === 'undo') {
            $act = ActRecord::query()->whereNull('undone_at')->orderByDesc('id')->value('id');
            ($this->asker)("/keep/people/acts/{$act}/undo", []);

            return 'undo';
        }
        ($this->asker)('/keep/people/acts', ['do' => $do, 'people' => $people, ...match ($do) {
            'give', 'change' => ['offer' => $this->one($this->offerKeys()), 'anew' => true, ...($do === 'give' && $this->dice->getInt(0, 3) === 0 ? ['from' => gmdate('Y-m-d\TH:i', $this->now - $this->dice->getInt(-20, 20) * 86400)] : [])],
            'extend' => ['offer' => $this->one($this->offerKeys()), 'days' => $this->dice->getInt(1, 60)],
            'pause', 'resume', 'end', 'withdraw', 'give-back' => ['offer' => $this->one($this->offerKeys()), 'stops' => $this->dice->getInt(0, 1) === 1],
            'label', 'unlabel' => ['label' => $this->one(['bonus', 'crew', 'early bird']), ...($do === 'label' && $this->dice->getInt(0, 1) === 1 ? ['until' => gmdate('Y-m-d\TH:i', $this->now + $this->dice->getInt(2, 40) * 86400)] : [])],
            'grant', 'take-back', 'finish' => ['course' => $course->key, 'item' => $this->one($this->items($course))],
            default => ['observer' => $this->one($this->ids())],
        }]);

        return $do;
    }

    private function learn(): string
    {
        $course = $this->course($this->one(self::COURSES));
        app(MarkFinished::class)(Person::query()->findOrFail($this->one($this->ids())), $course, $this->one($this->items($course)));

        return 'learn';
    }

    private function publish(): string
    {
        $course = $this->course($this->one(self::COURSES));
        $json = json_decode((string) $course->liveRevision?->document, false, 512, JSON_THROW_ON_ERROR);
        assert($json instanceof \stdClass && $json->course instanceof \stdClass);
        $this->changeRules($json->course, $this->items($course));
        try {
            app(PublishRevision::class)(Proposal::file($course, CourseDocument::fromJson(json_encode($json, JSON_THROW_ON_ERROR))), 'by chance', $this->dice->getInt(0, 1) === 1 ? Person::query()->whereNotNull('role')->first() : null);
        } catch (\Exception $e) {
            return 'publish refused: '.class_basename($e);
        }

        return 'publish';
    }

    private function takeBack(): string
    {
        $course = $this->course($this->one(self::COURSES));
        $earlier = Revision::query()->where('course_id', $course->id)->whereKeyNot($course->live_revision_id)->orderByDesc('id')->first();
        if ($earlier === null) {
            return 'clock';
        }
        try {
            app(PublishRevision::class)(Proposal::backTo($course, $earlier), null, null);
        } catch (\Exception $e) {
            return 'take back refused: '.class_basename($e);
        }

        return 'take back';
    }

    private function shop(): string
    {
        $purchase = $this->dice->getInt(0, 1) === 1 ? Purchase::query()->orderByDesc('id')->first() : null;
        if ($purchase !== null) {
            $kind = $this->one(['payment', 'missed', 'refund']);
            app(ShopEvents::class)->receive('event '.$this->now, $purchase->id, $kind, null);

            return "shop: {$kind}";
        }
        try {
            app(Buy::class)(Ware::offer(Offer::query()->where('key', $this->one($this->offerKeys()))->firstOrFail()), Person::query()->findOrFail($this->one($this->ids())), null);
        } catch (\Exception) {
            return 'shop: refused';
        }

        return 'shop: bought';
    }

    private function schedule(): string
    {
        foreach (['keep:end-trials', 'keep:run-triggers', 'keep:publish-due', 'keep:note-ledger'] as $command) {
            Artisan::call($command);
        }

        return 'schedule';
    }

    /** Somebody comes, and one who came so goes. */
    private function leave(): string
    {
        Person::query()->where('email', 'like', 'passing-%')->delete();
        $person = Person::query()->create(['name' => 'Passing by', 'email' => "passing-{$this->now}@alder.test"]);
        ($this->asker)('/keep/people/acts', ['do' => 'give', 'people' => [$person->id], 'offer' => $this->one($this->offerKeys()), 'anew' => true]);

        return 'leave';
    }

    /** A list of people is brought in, or what the last one brought is taken back. */
    private function file(): string
    {
        $last = Import::query()->orderByDesc('id')->first();
        if ($last !== null && $this->dice->getInt(0, 2) === 0) {
            ($this->asker)("/keep/people/imports/{$last->id}", ['_method' => 'DELETE']);

            return "file {$last->refresh()->state}";
        }
        $rows = ['name,email,labels,offer,start,observes'];
        foreach (array_unique([$this->one(self::PEOPLE), $this->one(self::PEOPLE), "passing-{$this->now}"]) as $name) {
            $start = $this->dice->getInt(0, 1) === 1 ? gmdate('Y-m-d', $this->now + $this->dice->getInt(-20, 20) * 86400) : '';
            $rows[] = implode(',', [$name, "{$name}@alder.test", $this->one(['', 'bonus', 'crew']), $this->one(['', ...$this->offerKeys()]), $start, $this->dice->getInt(0, 3) === 0 ? $this->one(self::PEOPLE).'@alder.test' : '']);
        }
        ($this->asker)('/keep/people/imports', ['file' => UploadedFile::fake()->createWithContent('people.csv', implode("\n", $rows))]);
        $import = Import::query()->orderByDesc('id')->firstOrFail();
        ($this->asker)("/keep/people/imports/{$import->id}/read", ['options' => ['columns' => ['name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3, 'start' => 4, 'observes' => 5]]]);
        ($this->asker)("/keep/people/imports/{$import->id}", []);

        return "file {$import->refresh()->state}";
    }

    private function writeDown(): void
    {
        $people = Person::query()->whereIn('id', $this->ids())->orderBy('id')->get()->keyBy('id');
        $entry = Head::now()->entry;
        foreach (self::COURSES as $key) {
            // As another request would be answered.
            app()->forgetScopedInstances();
            $course = $this->course($key);
            $decider = app(Plans::class)->live($course);
            $lookers = [new Looker(null), new Looker(null, guest: true), ...$people->map(static fn (Person $person): Looker => new Looker($person))->values(), ...DB::table('observer_ties')->orderBy('id')->limit(3)->get()->map(static fn (object $tie): Looker => new Looker(Person::query()->whereKey($tie->observer_id)->firstOrFail(), observed: Person::query()->whereKey($tie->learner_id)->firstOrFail()))];
            foreach ($lookers as $looker) {
                $told = $decider === null ? 'not published' : self::told(app(Plans::class)->ask($decider, app(Viewers::class)->lookingAt($looker, $course), $this->now)->decisions());
                $this->answers[] = ['at' => $this->now, 'entry' => $entry, 'course' => $key, 'looker' => new PastLooker($looker->person?->id, $looker->guest, $looker->observed?->id), 'told' => $told];
            }
        }
    }

    /** @param  list<Decision>  $decisions */
    private static function told(array $decisions): string
    {
        return implode(' ', array_map(static fn (Decision $one): string => "{$one->item}:{$one->state->value[0]}", $decisions)).' '.hash('xxh128', serialize($decisions));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Learning\PassingNotes;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\Role;
use App\Models\School;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use App\School\ChangeGuestLink;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Twenty complaints as people write them. Each is answered from the person page in three actions: what was open and when, the instant,
 * the row.
 */
final class ComplaintsTest extends TestCase
{
    public Person $siv;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-01T08:00:00Z');
        $this->at('2026-03-02T08:00:00Z');
        $this->siv = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
    }

    /**
     * What came about, the instant and the row that are chosen, and what is read then: in the answer, or in the story.
     *
     * @return iterable<string, array{Closure(self): mixed, string, string, list<string>}>
     */
    public static function complaints(): iterable
    {
        $apprentice = static fn (self $test) => $test->act('give', ['offer' => 'apprentice-pass']);
        yield 'I paid on the 2nd and it was locked for a week.' => [$apprentice, '2026-03-06T08:00:00Z', 'm-tools', ['was: opens later', 'Opening: Opens Mon 9 Mar, 09:00', 'Apprentice pass given, from Mon 2 Mar, 09:00', 'Opened: 7 days after joining']];
        yield 'You promised it by Monday, and on Monday it was shut.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-08T08:00:00Z');
            $test->publish(static fn (\stdClass $course): mixed => $course->plans->weekly->{'m-tools'} = ['opens' => ['rule' => 'after_start', 'days' => 14, 'time' => '09:00']], 'tighter pace');
        }, '2026-03-09T12:00:00Z', 'm-tools', ['was: opens later', 'Revision 2 went live: “tighter pace”. by Hege Strand', 'By revision 2']];
        yield 'Did the sponsor see her marks?' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $sponsor = Person::query()->create(['name' => 'Tide Yard', 'email' => 'yard@alder.test']);
            $test->act('observe', ['observer' => $sponsor->id]);
            app(PassingNotes::class)->looked($sponsor->id, $test->course()->id, 'b-marks', 'observer', (int) strtotime('2026-03-04T07:00:00Z'));
            $test->asks($sponsor, $test->siv);
        }, '2026-03-04T08:00:00Z', 'b-marks', ['was: open', 'Siv Aune tied, to look in. by Hege Strand', 'Opened: Announcements, Marks', 'Marks looked at']];
        yield 'My trial ended before its time.' => [static fn (self $test) => $test->act('give', ['offer' => 'yard-trial']), '2026-03-12T08:00:01Z', 'l-welcome', ['Yard trial given, from Mon 2 Mar, 09:00, until Thu 12 Mar, 09:00', 'Thu 12 Mar, 09:00 Closed: your pass has ended.']];
        yield 'Yesterday I could open it, today I cannot.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-11T08:00:00Z');
            $test->act('pause', ['offer' => 'apprentice-pass', 'stops' => true]);
        }, '2026-03-11T09:00:00Z', 'm-tools', ['Pass: Apprentice pass is paused.', 'Wed 11 Mar, 09:00 Apprentice pass paused. by Hege Strand', 'Closed: Tools and timber']];
        yield 'I was told my pass was longer.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-05T08:00:00Z');
            $test->act('extend', ['offer' => 'apprentice-pass', 'days' => 30]);
        }, '2026-03-06T08:00:00Z', 'l-welcome', ['Thu 5 Mar, 09:00 Apprentice pass lasts until Mon 28 Sep, 09:00, and not until Sat 29 Aug, 09:00 as before. by Hege Strand']];
        yield 'I finished it, and the next one stayed shut.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-20T08:00:00Z');
            $test->act('finish', ['course' => 'clinker', 'item' => 'l-planes']);
        }, '2026-03-12T08:00:00Z', 'l-timber', ['was: locked', 'First: Tuning a plane is not finished', 'Tuning a plane finished. by Hege Strand']];
        yield 'The bonus has vanished.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->act('label', ['label' => 'oar-bonus']);
            $test->at('2026-03-10T08:00:00Z');
            $test->act('unlabel', ['label' => 'oar-bonus']);
        }, '2026-03-11T08:00:00Z', 'l-bonus', ['was: hidden', 'Label oar-bonus taken away. by Hege Strand', 'Closed: Bonus: building the oars']];
        yield 'I never saw the bonus.' => [$apprentice, '2026-03-11T08:00:00Z', 'l-bonus', ['was: hidden', 'For whom: Condition: label oar-bonus']];
        yield 'The link you sent me does not work any more.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-04T08:00:00Z');
            app(ChangeGuestLink::class)($test->course(), Person::query()->where('email', 'hege@alder.test')->firstOrFail());
        }, '2026-03-05T08:00:00Z', '', ['Wed 4 Mar, 09:00 The link for guests was changed.']];
        yield 'You gave me that lesson, and then it was gone.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->act('grant', ['course' => 'clinker', 'item' => 'l-garboard']);
            $test->at('2026-03-03T08:00:00Z');
            $test->act('take-back', ['course' => 'clinker', 'item' => 'l-garboard']);
        }, '2026-03-03T09:00:00Z', 'l-garboard', ['The garboard handed out, for good. by Hege Strand', 'The garboard, which had been handed out, taken back. by Hege Strand', 'Closed: The garboard']];
        yield 'I hold the journeyman pass, and oak was closed to me.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-14T08:00:00Z');
            $test->act('change', ['offer' => 'journeyman-pass', 'pass' => Pass::query()->where('person_id', $test->siv->id)->max('id')]);
        }, '2026-03-12T08:00:00Z', 'l-advanced', ['was: locked', 'Tier: For journeyman passes; this pass carries apprentice', 'The pass became Journeyman pass. by Hege Strand']];
        yield 'My pass says since the 1st, and on the 3rd nothing was open.' => [static function (self $test): void {
            $test->at('2026-03-05T08:00:00Z');
            $test->act('give', ['offer' => 'journeyman-pass', 'from' => '2026-03-01T10:00']);
        }, '2026-03-03T08:00:00Z', 'l-welcome', ['It would have been open, had it been known what was entered later: Journeyman pass given, from Sun 1 Mar, 10:00']];
        yield 'I never finished that.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-10T08:00:00Z');
            $test->act('finish', ['course' => 'clinker', 'item' => 'l-planes']);
        }, '2026-03-10T09:00:00Z', 'l-planes', ['Tue 10 Mar, 09:00 Tuning a plane finished. by Hege Strand']];
        yield 'All that I had done is gone.' => [static function (self $test): void {
            Offer::query()->where('key', 'yard-trial')->update(['erases' => true]);
            $test->act('give', ['offer' => 'yard-trial']);
            $test->act('finish', ['course' => 'clinker', 'item' => 'l-welcome']);
            foreach (['2026-03-10T08:00:00Z', '2026-03-25T08:00:00Z'] as $day) {
                $test->at($day);
                Artisan::call('keep:end-trials');
            }
        }, '2026-03-25T09:00:00Z', 'l-welcome', ['Wed 25 Mar, 09:00 Welcome to the shed does not count as finished any more. by the program']];
        yield 'It opened hours later than it should have.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-05T08:00:00Z');
            School::query()->firstOrFail()->update(['zone' => 'Atlantic/Azores']);
        }, '2026-03-09T09:00:00Z', 'm-tools', ['was: opens later', 'The school’s clock became that of Atlantic/Azores.']];
        yield 'The whole course disappeared.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-05T08:00:00Z');
            $test->publish(static fn (\stdClass $course): mixed => $course->closes = '2026-03-06T00:00', 'season over');
        }, '2026-03-07T08:00:00Z', 'l-welcome', ['Course: The course closed Fri 6 Mar, 00:00', 'Revision 2 went live: “season over”. by Hege Strand', 'Closed: the course closed Fri 6 Mar, 00:00']];
        yield 'I can see it and cannot do anything there.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $sponsor = Person::query()->create(['name' => 'Tide Yard', 'email' => 'yard@alder.test']);
            $test->act('observe', ['observer' => $sponsor->id]);
            $test->asks($sponsor, $test->siv);
        }, '2026-03-04T08:00:00Z', 'l-welcome', ['was: open', 'to look at only']];
        yield 'I worked for you, and from one day to the next I saw nothing.' => [static function (self $test): void {
            $test->siv->update(['role' => Role::Assistant]);
            $test->at('2026-03-05T08:00:00Z');
            $test->siv->update(['role' => null]);
        }, '2026-03-06T08:00:00Z', 'm-tools', ['They work for the school as assistant.', 'They do not work for the school any more.', 'Closed: Tools and timber']];
        yield 'You took my pass away without a word.' => [static function (self $test) use ($apprentice): void {
            $apprentice($test);
            $test->at('2026-03-05T08:00:00Z');
            $test->act('withdraw', ['offer' => 'apprentice-pass']);
        }, '2026-03-05T09:00:00Z', 'm-start', ['Pass: Apprentice pass was withdrawn.', 'Thu 5 Mar, 09:00 Apprentice pass withdrawn. by Hege Strand']];
    }

    /**
     * @param  Closure(self): mixed  $cameAbout
     * @param  list<string>  $reads
     */
    #[DataProvider('complaints')]
    public function test_it_is_answered_in_three_actions(Closure $cameAbout, string $at, string $row, array $reads): void
    {
        $this->asks($this->siv, null);
        $cameAbout($this);
        $this->at('2026-04-01T08:00:00Z');
        [$of, $with] = $this->asked;
        $query = $with === null ? '' : "&with={$with->id}";
        // First: from the person page to what was open, and when.
        $this->get("/keep/people/{$of->id}")->assertOk();
        $page = (array) $this->get("/keep/people/{$of->id}/past?course=clinker{$query}")->assertOk()->inertiaProps();
        // Second and third: the instant and the row.
        $instant = (new \DateTimeImmutable($at))->getTimestamp();
        $why = $row === '' ? null : (array) $this->getJson("/keep/people/{$of->id}/past/why?course=clinker&item={$row}&at={$instant}{$query}")->assertOk()->json();
        $read = self::read($page, $row, $instant, $why);
        foreach ($reads as $words) {
            self::assertStringContainsString($words, $read);
        }
    }

    /** @var array{Person, ?Person} of whom it is asked, and with whom they look in */
    private array $asked;

    public function asks(Person $of, ?Person $with): void
    {
        $this->asked = [$of, $with];
    }

    /** @param  array<string, mixed>  $form */
    public function act(string $do, array $form): void
    {
        $this->post('/keep/people/acts', ['do' => $do, 'people' => [$this->siv->id], 'anew' => true, ...$form])->assertSessionHasNoErrors();
    }

    public function at(string $instant): void
    {
        Carbon::setTestNow($instant);
        $this->inAnotherProcess();
        $this->actingAs($this->person('hege'));
    }

    /** @param  Closure(\stdClass): mixed  $change */
    public function publish(Closure $change, string $note): void
    {
        $course = Course::query()->with('liveRevision')->where('key', 'clinker')->firstOrFail();
        $json = json_decode((string) $course->liveRevision?->document, false, 512, JSON_THROW_ON_ERROR);
        assert($json instanceof \stdClass && $json->course instanceof \stdClass);
        $change($json->course);
        app(PublishRevision::class)(Proposal::file($course, CourseDocument::fromJson(json_encode($json, JSON_THROW_ON_ERROR))), $note, $this->person('hege'));
    }

    public function course(string $key = 'clinker'): Course
    {
        return parent::course($key);
    }

    /**
     * What stands on the page then, in one text.
     *
     * @param  array<array-key, mixed>  $page
     * @param  ?array<array-key, mixed>  $why
     */
    private static function read(array $page, string $row, int $at, ?array $why): string
    {
        $words = static fn (mixed $sentence): string => implode('', array_column((array) ((array) $sentence)['segments'], 'text'));
        $titles = array_column((array) $page['rows'], 'title');
        $place = array_search($row, array_column((array) $page['rows'], 'key'), true);
        $lines = $why === null ? [] : ["was: {$why['word']}", $why['rules'], $why['knownNow'] === null ? '' : $words($why['knownNow'])];
        foreach ((array) ($why['gates'] ?? []) as $gate) {
            $lines[] = is_array($gate) ? "{$gate['name']}: {$words($gate['words'])}" : '';
        }
        $named = static fn (string $what, mixed $places): string => $places === [] ? '' : "{$what}: ".implode(', ', array_map(static fn (mixed $one): string => $titles[$one], array_values(array_filter((array) $places, static fn (mixed $one): bool => $place === false || $one === $place || $row === 'b-marks'))));
        foreach ((array) $page['turns'] as $turn) {
            assert(is_array($turn));
            $told = array_map(static fn (array $line): string => $words($line['words']).($line['by'] === null ? '' : " by {$line['by']}"), (array) $turn['lines']);
            $lines[] = trim("{$turn['when']} ".implode(' ', $told)."\n{$named('Opened', $turn['opened'])}\n{$named('Closed', $turn['shut'])}");
            foreach ((array) $turn['changes'] as $change) {
                if (is_array($change) && $change['row'] === $place && $turn['at'] <= $at) {
                    $lines[] = $words(((array) $page['reasons'])[$change['reason']]);
                }
            }
        }

        return implode("\n", $lines);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\Hand;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Ledger\Story\Story;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Label;
use App\Models\Pass;
use App\Models\Person;
use App\Models\School;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Deciding\Decision;
use Tests\TestCase;

/** What happened to somebody, told on one page: each line asked of the ledger and of the engine. */
final class StoryTest extends TestCase
{
    use TellsStories;

    public function test_each_turn_says_what_happened_and_by_whom(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-12T08:00:00Z');
        $this->act(['do' => 'pause', 'offer' => 'apprentice-pass', 'stops' => true]);
        $this->at('2026-03-13T08:00:00Z');
        $this->act(['do' => 'resume', 'offer' => 'apprentice-pass']);
        $this->act(['do' => 'label', 'label' => 'crew']);
        $this->at('2026-03-20T08:00:00Z');
        $this->act(['do' => 'finish', 'course' => 'clinker', 'item' => 'l-welcome']);

        self::assertSame([
            '10 Mar, 13:05: They became known here. (the program) Apprentice pass given, from Tue 10 Mar, 13:05, until Sun 6 Sep, 13:05. (Hege Strand) + Announcements, Marks, Before you pick up a plane, Welcome to the shed, Out of the door',
            '12 Mar, 09:00: Apprentice pass paused. (Hege Strand) - Announcements, Marks, Before you pick up a plane, Out of the door',
            '13 Mar, 09:00: Apprentice pass active again. (Hege Strand) Label crew, for good. (Hege Strand) + Announcements, Marks, Before you pick up a plane, Out of the door',
            '18 Mar, 09:00: Opened: 7 days after joining, 09:00. + Tools and timber, Tuning a plane, Grinding the iron',
            '20 Mar, 09:00: Welcome to the shed finished. (Hege Strand)',
        ], $this->told());
    }

    public function test_what_time_alone_did_is_told_with_its_reason(): void
    {
        $this->act(['do' => 'give', 'offer' => 'yard-trial']);
        $this->at('2026-03-25T08:00:00Z');
        $told = $this->told();
        self::assertCount(2, $told);
        self::assertStringStartsWith('20 Mar, 13:05: Closed: your pass has ended. - Announcements', $told[1]);
    }

    public function test_a_publication_that_shuts_something_is_told_with_its_note(): void
    {
        $this->act(['do' => 'give', 'offer' => 'journeyman-pass']);
        $this->at('2026-03-19T08:00:00Z');
        $this->opensAfter('m-tools', 40);
        $told = $this->told();
        self::assertStringContainsString('Revision '.$this->course()->refresh()->liveRevision?->number.' went live: “tighter pace”. (Hege Strand) - Tools and timber', end($told) ?: '');
    }

    /** Somebody who may see the page is told what the person page tells them, and nobody else is. */
    public function test_learners_and_those_who_see_nobody_are_told_nothing(): void
    {
        $page = "/keep/people/{$this->siv->id}/past";
        $this->actingAs($this->person('aksel'))->get($page)->assertOk();
        $this->actingAs($this->person('eira'))->get($page)->assertNotFound();
        $this->actingAs($this->person('eira'))->getJson("{$page}/why?course=clinker&item=l-welcome&at=1773144000")->assertNotFound();
        auth()->logout();
        $this->get($page)->assertRedirect();
    }

    public function test_why_it_was_so_is_told_by_the_rules_and_facts_of_then(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-19T08:00:00Z');
        $this->opensAfter('m-tools', 40);
        $this->at('2026-03-25T08:00:00Z');

        $before = $this->why('m-tools', '2026-03-18T12:00:00Z');
        self::assertSame(['open', 'Out since Tue 17 Mar, 09:00.'], [$before['word'], $this->gate($before, 'Opening')]);
        $after = $this->why('m-tools', '2026-03-20T12:00:00Z');
        self::assertSame('opens later', $after['word']);
        self::assertStringContainsString('19 Apr', $this->gate($after, 'Opening'));
        self::assertNotSame($before['rules'], $after['rules']);
    }

    public function test_a_pass_that_was_given_later_with_an_earlier_day_was_not_known_then(): void
    {
        $this->at('2026-03-20T08:00:00Z');
        $this->act(['do' => 'give', 'offer' => 'journeyman-pass', 'from' => '2026-03-12T09:00']);
        $why = $this->why('m-tools', '2026-03-19T12:00:00Z');
        self::assertNotSame('open', $why['word']);
        self::assertIsArray($why['knownNow']);
        self::assertStringContainsString('It would have been open, had it been known what was entered later: Journeyman pass given, from Thu 12 Mar', $this->words($why['knownNow']));
        // On days that the pass does not count for there is nothing else to be known.
        self::assertNull($this->why('m-tools', '2026-03-11T12:00:00Z')['knownNow']);
        self::assertNull($this->why('m-tools', '2026-03-20T12:00:00Z')['knownNow']);
    }

    public function test_what_was_taken_back_is_known_by_nobody(): void
    {
        $this->at('2026-03-20T08:00:00Z');
        $this->act(['do' => 'give', 'offer' => 'journeyman-pass', 'from' => '2026-03-01T09:00']);
        $this->post('/keep/people/acts/'.DB::table('people_acts')->max('id').'/undo');
        self::assertNull($this->why('m-tools', '2026-03-15T12:00:00Z')['knownNow']);
        self::assertSame(0, Pass::query()->where('person_id', $this->siv->id)->count());
    }

    public function test_a_row_or_an_instant_that_there_was_not_is_an_error(): void
    {
        foreach (['item=nothing&at=1773144000', 'item=l-welcome&at=soon', 'item=l-welcome&at=0', 'item[]=x&at[]=1', 'item=l-welcome&at=99999999999999'] as $query) {
            $this->getJson("/keep/people/{$this->siv->id}/past/why?course=clinker&{$query}")->assertNotFound();
        }
        self::assertSame([], $this->get("/keep/people/{$this->siv->id}/past?course=nothing&with=x")->assertOk()->inertiaProps('observes'));
    }

    public function test_who_looked_in_is_told_what_they_saw_with_whom(): void
    {
        $observer = Person::query()->create(['name' => 'Ulf Aune', 'email' => 'ulf@alder.test']);
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $this->act(['do' => 'observe', 'observer' => $observer->id]);
        $this->at('2026-03-12T08:00:00Z');
        $this->act(['do' => 'unobserve', 'observer' => $observer->id]);
        $this->at('2026-03-14T08:00:00Z');

        $page = $this->get("/keep/people/{$observer->id}/past?course=clinker&with={$this->siv->id}")->assertOk();
        self::assertSame($this->siv->id, $page->inertiaProps('with'));
        $told = $this->told($page->inertiaProps());
        self::assertStringContainsString('+ Announcements', $told[0]);
        self::assertStringContainsString('12 Mar, 09:00: Siv Aune tied no longer. (Hege Strand) - Announcements', $told[1]);
        self::assertSame('open', $this->why('b-news', '2026-03-11T08:00:00Z', $observer)['word']);
        self::assertNotSame('open', $this->why('b-news', '2026-03-13T08:00:00Z', $observer)['word']);
    }

    /** Told from turn to turn, or asked at once: at each instant the same. */
    public function test_between_two_turns_everything_is_as_the_last_one_says(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $this->at('2026-03-14T08:00:00Z');
        $this->opensAfter('m-tools', 9);
        School::query()->firstOrFail()->update(['zone' => 'Asia/Kolkata']);
        $this->at('2026-09-14T08:00:00Z');
        $course = $this->course();
        $looker = new PastLooker($this->siv->id);
        $turns = iterator_to_array(app(Story::class)->of($course, $looker, Carbon::now()->getTimestamp()), preserve_keys: false);
        self::assertGreaterThan(5, count($turns));
        foreach ($turns as $index => $turn) {
            $until = $turns[$index + 1]->at ?? Carbon::now()->getTimestamp();
            foreach (array_unique([$turn->at, $turn->at + 1, intdiv($turn->at + $until, 2), $until - 1]) as $at) {
                $asked = $at < $until ? app(Past::class)->of($course, $looker, new Moment($at)) : null;
                $told = static fn (Decision $one): string => serialize([$one->item, $one->state, $one->via, $one->act, $one->why]);
                self::assertSame(array_map($told, $turn->answer?->answer->decisions() ?? []), array_map($told, ($asked ?? $turn->answer)?->answer->decisions() ?? []), gmdate('Y-m-d H:i:s', $at));
            }
        }
    }

    public function test_the_page_asks_as_much_of_the_database_however_long_the_story_is(): void
    {
        $this->act(['do' => 'give', 'offer' => 'apprentice-pass']);
        $this->get("/keep/people/{$this->siv->id}/past");
        $few = $this->queries();
        foreach (['l-welcome', 'l-planes', 'p-iron', 'l-timber'] as $day => $item) {
            $this->at('2026-03-'.(20 + $day).'T08:00:00Z');
            $this->act(['do' => 'finish', 'course' => 'clinker', 'item' => $item]);
            $this->act(['do' => 'label', 'label' => "label {$day}"]);
        }
        // By several hands, and with several observers.
        foreach (['aksel', 'eira', 'kaia'] as $name) {
            $this->act(['do' => 'observe', 'observer' => $this->person($name)->id]);
            Hand::writes($this->person($name)->id, 'a test', fn () => Label::query()->create(['person_id' => $this->siv->id, 'label' => "by {$name}"]));
        }
        self::assertSame($few, $this->queries());
        self::assertStringContainsString('(Aksel Vik)', implode(' ', $this->told()));
    }

    private function queries(): int
    {
        $this->inAnotherProcess();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get("/keep/people/{$this->siv->id}/past")->assertOk();

        return count(DB::getQueryLog());
    }

    private function opensAfter(string $item, int $days): void
    {
        $course = Course::query()->with('liveRevision')->where('key', 'clinker')->firstOrFail();
        $json = json_decode((string) $course->liveRevision?->document, false, 512, JSON_THROW_ON_ERROR);
        assert($json instanceof \stdClass);
        $json->course->plans->weekly->{$item} = ['opens' => ['rule' => 'after_start', 'days' => $days, 'time' => '09:00']];
        app(PublishRevision::class)(Proposal::file($course, CourseDocument::fromJson(json_encode($json, JSON_THROW_ON_ERROR))), 'tighter pace', $this->person('hege'));
        $this->inAnotherProcess();
    }

    /** @return array<string, mixed> */
    private function why(string $item, string $at, ?Person $observer = null): array
    {
        $query = http_build_query(['item' => $item, 'at' => (new \DateTimeImmutable($at))->getTimestamp(), 'with' => $observer === null ? null : $this->siv->id]);

        return (array) $this->getJson('/keep/people/'.($observer ?? $this->siv)->id."/past/why?course=clinker&{$query}")->assertOk()->json();
    }

    /** @param  array<string, mixed>  $why */
    private function gate(array $why, string $name): string
    {
        foreach ((array) $why['gates'] as $gate) {
            if (is_array($gate) && $gate['name'] === $name) {
                return $this->words((array) $gate['words']);
            }
        }
        self::fail("There is no gate {$name}.");
    }
}

<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Database\Value;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Pass;
use App\Publishing\Proposal;
use App\Publishing\PublishRevision;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Deciding\Decision;
use Tests\Api\AsksTheInterface;
use Tests\TestCase;

/** The rail in the past: the rules of that day, and what was known of people then. */
final class PastTest extends TestCase
{
    use AsksSightlines;
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->at('2026-03-20T08:00:00Z');
        $this->publish(static fn (\stdClass $course): mixed => $course->plans->weekly->{'m-tools'} = ['opens' => ['rule' => 'after_start', 'days' => 40, 'time' => '09:00']], 'tighter pace');
        $this->at('2026-04-01T08:00:00Z');
    }

    public function test_before_a_publication_there_are_the_rules_of_then(): void
    {
        $grid = $this->sightlines('clinker', ['holder:25:apprentice-pass'], '2026-03-10T12:00:00Z');
        self::assertSame(['2026-03-15 open', '2026-03-21 locked'], [$this->stateOn($grid, 'm-tools', '2026-03-15'), $this->stateOn($grid, 'm-tools', '2026-03-21')]);
        self::assertSame([[1, 'revision 1: “Imported from a plan file”'], [2, 'revision 2: “tighter pace”']], array_map(static fn (\stdClass $mark): array => [$mark->number, $mark->words], $grid->revisions));
        self::assertSame((new \DateTimeImmutable('2026-03-20T08:00:00Z'))->getTimestamp(), $grid->revisions[1]->at);
        foreach ($grid->cells as $row) {
            $sights = array_column(array_chunk($row[0], 2), 0);
            foreach (array_slice($sights, 1) as $index => $sight) {
                self::assertNotSame($sights[$index], $sight);
            }
        }
        // From now on it is as it always was.
        $now = $this->sightlines('clinker', ['holder:25:apprentice-pass']);
        self::assertSame($this->stateOn($now, 'm-tools', '2026-04-16'), $this->stateOn($grid, 'm-tools', '2026-04-16'));
    }

    /** Beside a draft, the rules of today were laid over what was published on each day of the past. */
    public function test_what_is_published_beside_a_draft_is_told_as_it_was(): void
    {
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 1])->assertSessionHasNoErrors();
        $vantage = ['holder:25:apprentice-pass'];
        foreach (['2026-03-10T12:00:00Z', '2026-03-18T12:00:00Z', '2026-04-05T12:00:00Z'] as $at) {
            $published = $this->sightlines('clinker', $vantage, $at, 'published');
            $both = $this->sightlines('clinker', $vantage, $at, 'both');
            foreach (['2026-03-15', '2026-03-19', '2026-03-21', '2026-04-16'] as $day) {
                self::assertSame($this->stateOn($published, 'm-tools', $day), $this->stateOn($both, 'm-tools', $day, $both->before), $at);
                self::assertSame("{$day} open", $this->stateOn($both, 'm-tools', $day), 'The draft is shown as if it had always been so.');
            }
            self::assertEquals($published->revisions, $both->revisions);
        }
    }

    public function test_why_was_it_so_by_the_rules_of_then(): void
    {
        $ask = '/keep/courses/clinker/why?item=m-tools&v[]=holder:25:apprentice-pass&at=';
        $before = $this->getJson($ask.'2026-03-15T12:00:00Z')->assertOk();
        self::assertSame(['Open', 'By revision 1, which was live then.', []], [$before->json('word'), $before->json('summary'), $before->json('ways')]);
        $after = $this->getJson($ask.'2026-03-21T12:00:00Z')->assertOk();
        self::assertNotSame('Open', $after->json('word'));
    }

    public function test_a_pass_that_was_withdrawn_since_was_open_then_on_every_screen(): void
    {
        $eira = $this->person('eira');
        Pass::query()->where('person_id', $eira->id)->update(['state' => 'revoked']);
        $this->at('2026-04-02T08:00:00Z');
        $at = '2026-03-25T12:00:00Z';
        $grid = $this->sightlines('clinker', ["person:{$eira->id}"], $at);
        self::assertSame(['2026-03-25 open', '2026-04-02 locked'], [$this->stateOn($grid, 'm-start', '2026-03-25'), $this->stateOn($grid, 'm-start', '2026-04-02')]);
        self::assertSame('Open', $this->getJson("/keep/courses/clinker/why?item=m-start&v[]=person:{$eira->id}&at={$at}")->json('word'));
        self::assertSame('open', $this->getJson("/keep/people/{$eira->id}/past/why?course=clinker&item=m-start&at=".strtotime($at))->json('word'));
        $csv = $this->get("/keep/courses/clinker/sightlines.csv?v[]=person:{$eira->id}&at={$at}")->streamedContent();
        self::assertMatchesRegularExpression('/Before you pick up a plane.*open/', $csv);
        $states = static fn (mixed $items): array => array_column((array) $items, 'state', 'item');
        $past = $states($this->body($this->ask('GET', "/decisions/past?course=clinker&person={$eira->id}&at={$at}"))['items']);
        self::assertSame($past, $states($this->body($this->ask('GET', "/courses/clinker/sightlines?vantages=person:{$eira->id}&at={$at}"))['vantages'][0]['items']));
        self::assertSame('open', $past['m-start']);
    }

    /** Each cell of each day, for somebody to whom much has happened, is what the past answers when it is asked. */
    public function test_each_cell_is_what_the_past_answers(): void
    {
        $eira = $this->person('eira');
        $this->actingAs($this->person('hege'));
        foreach ([['pause', ['stops' => true]], ['resume', []], ['extend', ['days' => 9]], ['label', ['label' => 'oar-bonus']], ['finish', ['course' => 'clinker', 'item' => 'l-planes']], ['grant', ['course' => 'clinker', 'item' => 'l-launch']], ['withdraw', []]] as $day => [$do, $form]) {
            $this->at('2026-04-0'.(2 + $day).'T08:00:00Z');
            $this->post('/keep/people/acts', ['do' => $do, 'people' => [$eira->id], 'offer' => 'apprentice-pass', ...$form])->assertSessionHasNoErrors();
        }
        $this->at('2026-04-20T08:00:00Z');
        $grid = $this->sightlines('clinker', ["person:{$eira->id}", 'visitor', "observer:person:{$eira->id}"]);
        $items = array_keys(CourseDocument::fromJson((string) $this->course()->liveRevision?->document)->readItems());
        for ($at = strtotime('2026-03-12T12:00:00Z'); $at < strtotime('2026-04-20T08:00:00Z'); $at += 43_200) {
            foreach ([new PastLooker($eira->id), new PastLooker(null)] as $column => $looker) {
                $asked = array_map(static fn (Decision $one): array => [$one->state->value, $one->via?->value, $one->next?->at], app(Past::class)->of($this->course(), $looker, new Moment($at))?->answer->decisions() ?? []);
                $told = [];
                foreach (array_keys($items) as $row) {
                    $sight = self::turnAt($grid, $row, $column, $at);
                    $told[] = [$sight->state, $sight->via, $sight->next];
                }
                self::assertSame($asked, $told, gmdate('c', $at));
            }
        }
    }

    public function test_a_row_that_was_not_there_yet_was_hidden(): void
    {
        $this->publish(static function (\stdClass $course): void {
            $course->items[] = (object) ['key' => 'm-new', 'kind' => 'module', 'title' => 'Varnish', 'items' => []];
        }, 'varnish');
        $this->at('2026-04-05T08:00:00Z');
        $grid = $this->sightlines('clinker', ['holder:25:apprentice-pass']);
        $row = count($grid->cells) - 1;
        self::assertSame('hidden', self::turnAt($grid, $row, 0, (int) strtotime('2026-03-28T12:00:00Z'))->state);
        $this->getJson('/keep/courses/clinker/why?item=m-new&v[]=holder:25:apprentice-pass&at=2026-03-28T12:00:00Z')->assertOk()->assertJsonPath('word', 'Hidden')->assertJsonPath('gates.0.words.segments.0.text', 'The course had no such row then.');
    }

    public function test_a_draft_is_shown_as_if_it_had_always_been(): void
    {
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'opens', 'items' => ['m-tools'], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => 3])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
        $grid = $this->sightlines('clinker', ['holder:25:apprentice-pass'], '2026-03-10T12:00:00Z');
        self::assertSame([], $grid->revisions);
        self::assertSame('2026-03-12 open', $this->stateOn($grid, 'm-tools', '2026-03-12'));
        $published = $this->sightlines('clinker', ['holder:25:apprentice-pass'], '2026-03-10T12:00:00Z', see: 'published');
        self::assertSame('2026-03-21 locked', $this->stateOn($published, 'm-tools', '2026-03-21'));
    }

    public function test_however_many_stand_there_the_ledger_is_read_by_as_many_queries(): void
    {
        $people = array_map(static fn (int $id): string => "person:{$id}", Value::ints(DB::table('passes')->distinct()->orderBy('person_id')->limit(8)->pluck('person_id')));
        $this->queries($people);
        self::assertSame($this->queries(array_slice($people, 0, 2)), $this->queries($people));
    }

    /** @param  list<string>  $vantages */
    private function queries(array $vantages): int
    {
        $this->inAnotherProcess();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->sightlines('clinker', $vantages);

        return count(DB::getQueryLog());
    }

    /** @param  ?list<list<list<int>>>  $cells  null: those of what is looked at */
    private function stateOn(\stdClass $grid, string $item, string $day, ?array $cells = null): string
    {
        $row = array_search($item, array_keys(CourseDocument::fromJson((string) $this->course()->liveRevision?->document)->readItems()), true);

        return "{$day} ".self::turnAt($grid, (int) $row, 0, (int) strtotime("{$day}T12:00:00Z"), $cells)->state;
    }

    private function at(string $instant): void
    {
        Carbon::setTestNow($instant);
        $this->inAnotherProcess();
        $this->actingAs($this->person('hege'));
    }

    /** @param  \Closure(\stdClass): mixed  $change */
    private function publish(\Closure $change, string $note): void
    {
        $course = Course::query()->with('liveRevision')->where('key', 'clinker')->firstOrFail();
        $json = json_decode((string) $course->liveRevision?->document, false, 512, JSON_THROW_ON_ERROR);
        assert($json instanceof \stdClass && $json->course instanceof \stdClass);
        $change($json->course);
        app(PublishRevision::class)(Proposal::file($course, CourseDocument::fromJson(json_encode($json, JSON_THROW_ON_ERROR))), $note, $this->person('hege'));
        $this->inAnotherProcess();
    }
}

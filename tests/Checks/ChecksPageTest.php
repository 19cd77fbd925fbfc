<?php

declare(strict_types=1);

namespace Tests\Checks;

use App\Models\AcceptedFinding;
use App\Models\Activity;
use App\Models\NoticeText;
use App\Models\ObserverTie;
use App\Models\PeopleCount;
use App\Notices\NoticeCase;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** What is found in the rules of a course, as its page shows it; in the demo course "rigging" faults are planted. */
final class ChecksPageTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return array<string, array<array-key, mixed>> rows by what they are of */
    private function found(string $course = 'rigging'): array
    {
        $this->inAnotherProcess();
        $rows = $this->get("/keep/courses/{$course}/checks")->assertOk()->inertiaProps('findings');
        self::assertIsArray($rows);
        $found = [];
        foreach ($rows as $row) {
            self::assertIsArray($row);
            self::assertIsString($row['check']);
            $found[$row['check']] = $row;
        }

        return $found;
    }

    private static function said(mixed $sentence): string
    {
        return is_array($sentence) && is_array($sentence['segments']) ? implode('', array_column($sentence['segments'], 'text')) : '';
    }

    public function test_what_was_planted_is_found_and_little_else(): void
    {
        self::assertSame([
            'waits_in_circle', 'opens_after_pass', 'holds_up_holders', 'tier_not_given', 'sample_for_nobody',
            'first_day_closed', 'nothing_sold', 'label_not_given', 'door_leads_nowhere', 'date_past', 'plan_unused', 'permission_behind_shut_door',
        ], array_keys($this->found()));
        self::assertSame(['trial_sooner'], array_keys($this->found('clinker')));
        self::assertSame(['closed_to_newcomers'], array_keys($this->found('winter-refit')));
        foreach (['steam-frames', 'sails', 'petrol'] as $course) {
            self::assertSame([], $this->found($course));
        }
    }

    public function test_each_says_what_where_and_why(): void
    {
        $row = $this->found()['opens_after_pass'];

        self::assertSame('Mast and sprit opens only after a pass of Sixty days of rigging and Sixty days with fancywork taken now has ended: on Mon 8 Jun, 13:00, and the pass lasts until Sat 9 May, 13:00.', self::said($row['what']));
        self::assertSame(['They have paid for something that they never see.', '/keep/courses/rigging?row=m-mast', 'Show the row'], [$row['why'], $row['where'], $row['whereWords']]);
        self::assertSame('/keep/offers?course=clinker#clinker', $this->found('clinker')['trial_sooner']['where']);
    }

    public function test_what_mends_it_goes_into_the_draft_and_then_it_is_not_found(): void
    {
        $mended = 0;
        foreach ($this->found() as $check => $row) {
            if ($row['fixes'] === []) {
                continue;
            }
            $version = $this->course('rigging')->draft->version ?? 0;
            $this->post('/keep/courses/rigging/draft/fixes', ['version' => $version, 'fixes' => $row['fixes']])->assertSessionHasNoErrors();
            self::assertArrayNotHasKey($check, $this->found(), self::said($row['mend']));
            $mended++;
        }

        self::assertSame(7, $mended);
        self::assertSame('7 edits wait', $this->course('rigging')->draft?->edits()->count().' edits wait');
    }

    public function test_what_is_meant_so_is_not_told_until_its_cause_changes(): void
    {
        $row = $this->found()['opens_after_pass'];
        $this->post('/keep/courses/rigging/checks/accepted', ['subject' => $row['subject'], 'cause' => $row['cause'], 'reason' => ''])->assertSessionHasErrors(['reason' => 'Say why it is meant so.']);
        $accept = ['subject' => $row['subject'], 'cause' => $row['cause'], 'reason' => 'Only for those who go on.'];
        $this->post('/keep/courses/rigging/checks/accepted', $accept)->assertSessionHas('flash.kind', 'done');
        $this->post('/keep/courses/rigging/checks/accepted', $accept);
        self::assertArrayNotHasKey('opens_after_pass', $this->found());
        self::assertSame(1, Activity::query()->where('action', 'finding.accepted')->count());
        self::assertSame(['Only for those who go on.', 'Hege Strand'], [AcceptedFinding::query()->sole()->reason, AcceptedFinding::query()->sole()->person?->name]);
        self::assertSame(11, count((array) $this->get('/keep/courses/rigging')->inertiaProps('course.findings')));

        // Later by a day: the same subject, by other rules.
        $this->edited = 'rigging';
        $this->openAfter(0, 'm-mast', 91)->assertSessionHasNoErrors();
        self::assertArrayHasKey('opens_after_pass', $this->found());
        $this->post('/keep/courses/rigging/checks/accepted', $accept)->assertSessionHas('flash.kind', 'refused');
        $this->post('/keep/courses/rigging/draft/undo', ['version' => 1]);
        self::assertArrayNotHasKey('opens_after_pass', $this->found());

        $this->delete("/keep/courses/rigging/checks/accepted/{$row['subject']}");
        self::assertArrayHasKey('opens_after_pass', $this->found());
    }

    public function test_those_who_are_touched_are_counted_among_those_who_are_here(): void
    {
        $this->openAfter(0, 'm-planks', 400)->assertSessionHasNoErrors();
        $row = $this->found('clinker')['opens_after_pass'];
        $now = gmdate('Y-m-d H:i:s', (int) strtotime('2026-03-10T12:00:00Z'));
        $holders = DB::table('passes')->join('offers', 'offers.id', '=', 'offer_id')->where('offers.key', 'apprentice-pass')->where('passes.state', 'active')->where('starts_at', '<=', $now)
            ->where(static fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now))->distinct()->count('person_id');

        // What somebody has finished, or was handed, stays open to them.
        $reached = DB::table('completions')->join('people', 'people.id', '=', 'person_id')->whereIn('item_key', ['l-garboard', 'l-rivets'])->distinct()->count('person_id');
        self::assertIsInt($row['touched']);
        self::assertLessThanOrEqual($holders, $row['touched']);
        self::assertGreaterThanOrEqual($holders - $reached, $row['touched']);
        self::assertGreaterThan(5, $row['touched']);
        $count = PeopleCount::query()->where('what', 'findings of the draft')->sole();
        self::assertSame($count->of, $count->looked);
        self::assertNotNull($count->finished_at);
    }

    public function test_what_is_no_rule_is_looked_at_too(): void
    {
        $others = function (): array {
            $this->inAnotherProcess();

            return array_map(static fn (array $one): string => self::said($one['what']), (array) $this->get('/keep/courses/clinker/checks')->inertiaProps('others'));
        };
        self::assertSame([], $others());

        // An offer goes while somebody holds a pass of it; the observer door shuts on Jonas; a film lies elsewhere; a notice says nothing of what to do.
        $this->edit(0, 'optional', ['l-steam'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $draft = $this->draft();
        $document = json_decode($draft->document, true, 512, JSON_THROW_ON_ERROR);
        self::assertIsArray($document);
        $document['offers'] = array_values(array_filter($document['offers'], static fn (array $offer): bool => $offer['key'] !== 'taster'));
        $document['course']['observer_door']['open'] = false;
        $draft->forceFill(['document' => json_encode($document, JSON_THROW_ON_ERROR)])->save();
        DB::table('contents')->where('item_key', 'l-garboard')->update(['text' => 'See [how](https://films.test/garboard.mp4).']);
        DB::table('contents')->where('item_key', 'l-welcome')->update(['text' => 'See [how](https://films.test/welcome.mp4).']);
        ObserverTie::query()->create(['observer_id' => $this->person('jonas')->id, 'learner_id' => $this->person('eira')->id]);
        NoticeText::query()->create(['scope' => 'course', 'course_id' => $this->course()->id, 'case' => 'no-pass', 'way' => 'show', 'heading' => 'No', 'text' => 'Not for you.', 'parts' => '[{"kind":"words"}]', 'version' => 1]);

        self::assertSame([
            '1 person holds a pass of Taster, which these rules do not have any more: it opens nothing.',
            '1 person looks in on somebody here and is shown nothing: the observer door is shut.',
            'The garboard is closed, and links to a file elsewhere that opens to anybody.',
            'What is met by “'.NoticeCase::NoPass->words().'” has no next step.',
        ], $others());
        DB::table('notice_texts')->where('text', 'Not for you.')->update(['parts' => '[{"kind":"words"},{"kind":"offers"}]']);
        DB::table('contents')->where('item_key', 'l-garboard')->update(['text' => 'See [how](/courses/clinker/l-welcome).']);
        self::assertCount(2, $others());
    }

    public function test_it_takes_as_many_queries_whatever_is_found(): void
    {
        $queries = function (): int {
            $this->found('clinker');
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get('/keep/courses/clinker/checks');

            return count(DB::getQueryLog());
        };
        $this->edit(0, 'optional', ['l-steam'], ['value' => 'yes']);
        $few = $queries();
        foreach (['l-planes' => 'l-timber', 'l-timber' => 'l-planes', 'l-garboard' => 'l-rivets', 'l-rivets' => 'l-garboard'] as $item => $after) {
            $this->edit($this->draft()->version, 'after', [$item], ['mode' => 'all', 'of' => [$after], 'inOrder' => false])->assertSessionHasNoErrors();
        }

        self::assertSame($few, $queries());
        self::assertGreaterThan(1, count($this->found('clinker')));
    }

    public function test_an_assistant_looks_and_accepts_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        $row = $this->found()['plan_unused'];
        self::assertFalse($this->get('/keep/courses/rigging/checks')->inertiaProps('mayEdit'));
        $this->post('/keep/courses/rigging/checks/accepted', ['subject' => $row['subject'], 'cause' => $row['cause'], 'reason' => 'x'])->assertForbidden();
        $this->actingAs($this->person('eira'))->get('/keep/courses/rigging/checks')->assertNotFound();
    }
}

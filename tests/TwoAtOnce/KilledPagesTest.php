<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use GuzzleHttp\Promise\Utils;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\PgsqlSchools;
use Tests\SchoolServer;

/**
 * The server is killed, with all of its workers, at random moments in the middle of answering: the database is whole, each
 * act is done or not at all, and who sends theirs again has it done once. KILLS says how often; by itself a few times.
 */
#[Group('long')]
final class KilledPagesTest extends TestCase
{
    private SchoolServer $school;

    protected function setUp(): void
    {
        $this->school = new SchoolServer(workers: 3);
        $this->school->start();
    }

    protected function tearDown(): void
    {
        $this->school->stop();
    }

    public function test_whoever_is_answered_halfway_finds_nothing_half_done_and_can_send_it_again(): void
    {
        $eira = (int) $this->school->value("select id from people where email = 'eira@alder.test'");
        $first = $this->ends($eira);
        $people = (int) $this->school->value('select count(*) from people');
        $item = (string) (json_decode((string) $this->school->value("select r.document from revisions r join courses c on c.live_revision_id = r.id where c.key = 'oars'"), true)['course']['items'][0]['key'] ?? '');
        $kills = max(1, (int) (getenv('KILLS') ?: 4));
        $cut = 0;
        for ($kill = 1; $kill <= $kills; $kill++) {
            $hege = Caller::signedIn($this->school->address(), 'hege');
            $learner = Caller::signedIn($this->school->address(), 'eira');
            $version = (int) $this->school->value("select last_draft_version from courses where key = 'oars'");
            $visitor = new Caller($this->school->address());
            $visitor->get('/checkout/yard-trial');
            $acts = [
                static fn () => $hege->send('POST', '/keep/people/acts', ['do' => 'extend', 'people' => [$eira], 'offer' => 'apprentice-pass', 'days' => 1, 'once' => "extend {$kill}"]),
                static fn () => $hege->send('POST', '/keep/courses/oars/draft/outline', ['version' => $version, 'do' => 'rename', 'item' => $item, 'title' => "Round {$kill}"]),
                static fn () => $learner->send('POST', '/courses/clinker/l-planes/finished', []),
                static fn () => $visitor->send('POST', '/checkout/yard-trial', ['name' => "Visitor {$kill}", 'email' => "visitor{$kill}@elsewhere.test", 'once' => "visit {$kill}", 'card' => 'works']),
                static fn () => $hege->send('POST', '/keep/courses/oars/revisions', ['version' => $version]),
            ];
            // The one pause that is meant: when it happens is chance.
            $killer = Process::fromShellCommandline(sprintf('sleep %.3f; pkill -KILL -P %d; kill -KILL %2$d', random_int(5, 250) / 1000, $this->school->pid()));
            $killer->start();
            foreach (Utils::settle(array_map(static fn (\Closure $send) => $send(), $acts))->wait() as $answer) {
                $cut += $answer['state'] === 'rejected' ? 1 : 0;
            }
            $killer->wait();
            // They all come from one address, which would be told to wait.
            $this->school->forgetThrottles();
            $this->school->startAgain(0);
            $this->nothingIsHalfDone($eira, $first);
            self::assertSame(['Hege Strand', 'Eira Holm'], [$hege->page('/courses')['signedIn']['name'] ?? null, $learner->page('/courses')['signedIn']['name'] ?? null], 'Somebody has been signed out.');
            // Sent again, as by somebody who has seen an error; whoever was too late is told so, in peace.
            foreach (Utils::unwrap(array_map(static fn (\Closure $send) => $send(), $acts)) as $n => $answer) {
                self::assertLessThan(500, $answer->getStatusCode(), "Act {$n}: ".substr((string) $answer->getBody(), 0, 500));
            }
            $this->nothingIsHalfDone($eira, $first);
            self::assertSame($kill, (int) round(($this->ends($eira) - $first) / 86400), 'Extended twice, or not at all.');
            self::assertSame($people + $kill, (int) $this->school->value('select count(*) from people'));
        }
        self::assertGreaterThan(0, $cut, 'Nobody was answered halfway.');
    }

    private function nothingIsHalfDone(int $eira, int $first): void
    {
        $value = fn (string $sql): string => (string) $this->school->value($sql);
        if (! PgsqlSchools::areMeant()) {
            self::assertSame('ok', $value('PRAGMA integrity_check'));
            self::assertSame('0', $value('select count(*) from pragma_foreign_key_check'));
        }
        $extended = (string) (int) round(($this->ends($eira) - $first) / 86400);
        self::assertSame($extended, $value("select count(*) from activities where action = 'pass.extended'"));
        self::assertSame($extended, $value("select count(*) from people_acts where once like 'extend %' and state = 'done'"));
        self::assertSame($extended, $value("select count(*) from act_changes where person_id = {$eira}"));
        $oars = "(select id from courses where key = 'oars')";
        // An edit is in the draft and in its history; a publication has its revision, its line, and no draft.
        self::assertSame('0', $value("select count(*) from drafts d where d.course_id = {$oars} and not exists (select 1 from draft_edits e where e.draft_id = d.id)"));
        self::assertSame($value("select count(*) from revisions where course_id = {$oars}"), $value("select max(number) from revisions where course_id = {$oars}"));
        self::assertSame($value("select max(id) from revisions where course_id = {$oars}"), $value("select live_revision_id from courses where id = {$oars}"));
        self::assertSame($value("select count(*) - 1 from revisions where course_id = {$oars}"), $value("select count(*) from activities where action = 'course.published' and course_id = {$oars} and actor_id is not null"));
        // Whoever has come has bought, and has a letter.
        $come = $value("select count(*) from people where name like 'Visitor %'");
        $of = "(select id from people where name like 'Visitor %')";
        foreach (["passes where person_id in {$of}", "activities where action = 'pass.given' and person_id in {$of}", "people_acts where actor_id in {$of}", "sign_in_links where person_id in {$of}", "messages where body like '%Is this%' or person_id in {$of}"] as $what) {
            self::assertSame($come, $value("select count(*) from {$what}"), $what);
        }
    }

    private function ends(int $person): int
    {
        return (int) strtotime((string) $this->school->value("select ends_at from passes where person_id = {$person} and ends_at is not null"));
    }
}

<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use GuzzleHttp\Promise\Utils;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Psr\Http\Message\ResponseInterface;
use Tests\SchoolServer;

/** Two administrators on a real server that answers several at once: nothing is lost, nothing is done twice, nobody is shown an error. */
#[Group('long')]
final class TwoAdministratorsTest extends TestCase
{
    private const ROUNDS = 30;

    private static SchoolServer $school;

    private static Caller $hege;

    private static Caller $ingrid;

    public static function setUpBeforeClass(): void
    {
        self::$school = new SchoolServer(workers: 4);
        self::$school->start();
        $pdo = self::$school->pdo();
        $pdo->exec("insert into people (name, email, password, role) select 'Ingrid Vik', 'ingrid@alder.test', password, 'administrator' from people where email = 'hege@alder.test'");
        self::$hege = Caller::signedIn(self::$school->address(), 'hege');
        self::$ingrid = Caller::signedIn(self::$school->address(), 'ingrid');
    }

    public static function tearDownAfterClass(): void
    {
        self::$school->stop();
    }

    public function test_edits_of_different_rows_at_the_same_moment_both_stand(): void
    {
        $before = $this->edits('clinker');
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $version = (int) self::$school->value("select coalesce((select version from drafts d join courses c on c.id = d.course_id where c.key = 'clinker'), 0)");
            $edit = static fn (string $item): array => ['version' => $version, 'set' => 'opens', 'items' => [$item], 'plan' => 'weekly', 'rule' => 'after_start', 'days' => $round + 1];
            $this->bothAtOnce('/keep/courses/clinker/draft/edits', $edit('l-timber'), $edit('l-rivets'));
        }
        self::assertSame($before + 2 * self::ROUNDS, $this->edits('clinker'));
        $document = (string) self::$school->value("select d.document from drafts d join courses c on c.id = d.course_id where c.key = 'clinker'");
        $plan = json_decode($document, true)['course']['plans']['weekly'] ?? [];
        self::assertSame([self::ROUNDS, self::ROUNDS], [$plan['l-timber']['opens']['days'] ?? null, $plan['l-rivets']['opens']['days'] ?? null]);
    }

    public function test_of_two_edits_of_the_same_thing_one_stands_and_the_other_is_asked(): void
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $version = (int) self::$school->value("select coalesce((select version from drafts d join courses c on c.id = d.course_id where c.key = 'sails'), 0)");
            $edit = fn (string $title): array => ['version' => $version, 'do' => 'rename', 'item' => $this->anyItem('sails'), 'title' => $title];
            $this->bothAtOnce('/keep/courses/sails/draft/outline', $edit("By Hege {$round}"), $edit("By Ingrid {$round}"));
            self::assertSame($round + 1, $this->edits('sails'), "Round {$round}");
        }
    }

    public function test_a_draft_that_two_publish_at_once_is_one_revision(): void
    {
        for ($round = 1; $round <= self::ROUNDS; $round++) {
            $version = (int) self::$school->value("select last_draft_version from courses where key = 'oars'");
            self::$hege->post('/keep/courses/oars/draft/outline', ['version' => 0, 'do' => 'rename', 'item' => $this->anyItem('oars'), 'title' => "Round {$round}"]);
            $this->bothAtOnce('/keep/courses/oars/revisions', ['version' => $version + 1], ['version' => $version + 1]);
            self::assertSame((string) ($round + 1), self::$school->value("select max(number) from revisions r join courses c on c.id = r.course_id where c.key = 'oars'"), "Round {$round}");
        }
        self::assertSame((string) (self::ROUNDS + 1), self::$school->value("select count(*) from revisions r join courses c on c.id = r.course_id where c.key = 'oars'"));
    }

    public function test_the_same_act_by_both_is_done_by_both_and_one_click_twice_once(): void
    {
        $eira = (int) self::$school->value("select id from people where email = 'eira@alder.test'");
        $ends = static fn (): int => (int) strtotime((string) self::$school->value("select ends_at from passes where person_id = {$eira} and ends_at is not null"));
        $first = $ends();
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $this->bothAtOnce('/keep/people/acts', ['do' => 'extend', 'people' => [$eira], 'offer' => 'apprentice-pass', 'days' => 1, 'once' => "hege {$round}"], ['do' => 'extend', 'people' => [$eira], 'offer' => 'apprentice-pass', 'days' => 1, 'once' => "ingrid {$round}"]);
            $click = ['do' => 'extend', 'people' => [$eira], 'offer' => 'apprentice-pass', 'days' => 1, 'once' => "click {$round}"];
            $this->bothAtOnce('/keep/people/acts', $click, $click);
        }
        self::assertSame(3 * self::ROUNDS, (int) round(($ends() - $first) / 86400));
    }

    public function test_clicks_of_a_visitor_at_the_same_moment_open_one_account(): void
    {
        $address = self::$school->address();
        for ($round = 0; $round < 5; $round++) {
            $form = ['name' => 'Alva', 'email' => "alva{$round}@elsewhere.test", 'once' => "visit {$round}"];
            // One browser; what is sent later has no cookie of the first yet.
            $visitor = new Caller($address);
            $visitor->get('/checkout/tools-only');
            $clicks = [clone $visitor, clone $visitor, clone $visitor, clone $visitor];
            foreach (Utils::unwrap(array_map(static fn (Caller $click) => $click->send('POST', '/checkout/tools-only', $form), $clicks)) as $answer) {
                self::assertSame(302, $answer->getStatusCode(), substr((string) $answer->getBody(), 0, 500));
            }
            $alva = "(select id from people where claimed_email = 'alva{$round}@elsewhere.test')";
            self::assertSame(['1', '1'], [self::$school->value("select count(*) from people where id in {$alva}"), self::$school->value("select count(*) from passes where person_id in {$alva}")], "Round {$round}");
            foreach ($clicks as $click) {
                self::assertSame('Alva', $click->page('/courses')['signedIn']['name'] ?? null);
            }
        }
    }

    public function test_two_tabs_at_the_same_moment_buy_once_and_an_event_told_twice_is_one(): void
    {
        foreach (['eira', 'sunniva', 'torvald', 'ragna', 'sindre'] as $name) {
            $buyer = Caller::signedIn(self::$school->address(), $name);
            $tabs = [$buyer->send('POST', '/checkout/refit-crew', ['shown' => 'anew', 'once' => 'one tab']), $buyer->send('POST', '/checkout/refit-crew', ['shown' => 'anew', 'once' => 'another tab'])];
            foreach (Utils::unwrap($tabs) as $answer) {
                self::assertSame(302, $answer->getStatusCode());
            }
            $person = "(select id from people where email = '{$name}@alder.test')";
            self::assertSame(['1', '1'], [self::$school->value("select count(*) from passes p join offers o on o.id = p.offer_id where o.key = 'refit-crew' and p.person_id = {$person}"), self::$school->value("select count(*) from purchases where person_id = {$person}")], $name);
            $purchase = self::$school->value("select id from purchases where person_id = {$person}");
            $event = ['event' => "refund of {$name}", 'kind' => 'refund'];
            $this->bothAtOnce("/keep/outbox/shop/{$purchase}", $event, $event);
            self::assertSame(['1', 'its pass was withdrawn'], [self::$school->value("select count(*) from shop_events where purchase_id = {$purchase}"), self::$school->value("select did from shop_events where purchase_id = {$purchase}")]);
        }
    }

    /**
     * @param  array<string, mixed>  $one
     * @param  array<string, mixed>  $other
     */
    private function bothAtOnce(string $path, array $one, array $other): void
    {
        $answers = Utils::unwrap([self::$hege->send('POST', $path, $one), self::$ingrid->send('POST', $path, $other)]);
        foreach ($answers as $answer) {
            assert($answer instanceof ResponseInterface);
            self::assertSame(302, $answer->getStatusCode(), substr((string) $answer->getBody(), 0, 500));
        }
    }

    private function edits(string $course): int
    {
        return (int) self::$school->value("select count(*) from draft_edits e join drafts d on d.id = e.draft_id join courses c on c.id = d.course_id where c.key = '{$course}'");
    }

    private function anyItem(string $course): string
    {
        $document = json_decode((string) self::$school->value("select r.document from revisions r join courses c on c.live_revision_id = r.id where c.key = '{$course}'"), true);

        return $document['course']['items'][0]['key'] ?? self::fail('It has no items.');
    }
}

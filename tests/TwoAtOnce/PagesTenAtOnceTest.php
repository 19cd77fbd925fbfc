<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use GuzzleHttp\Promise\Utils;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\SchoolServer;

/** What is done on pages, boards and quizzes ten times at the same moment, on a real server: it is done once, and nobody meets an error. */
#[Group('long')]
final class PagesTenAtOnceTest extends TestCase
{
    private static SchoolServer $school;

    private static Caller $hege;

    private static Caller $eira;

    public static function setUpBeforeClass(): void
    {
        self::$school = new SchoolServer(workers: 4);
        self::$school->start();
        self::$hege = Caller::signedIn(self::$school->address(), 'hege');
        self::$eira = Caller::signedIn(self::$school->address(), 'eira');
    }

    public static function tearDownAfterClass(): void
    {
        self::$school->stop();
    }

    /** @param  array<string, mixed>|\Closure(int): array<string, mixed>  $form */
    private static function ten(Caller $who, string $method, string $path, array|\Closure $form): void
    {
        $windows = array_map(static fn (int $one): Caller => clone $who, range(1, 10));
        foreach (Utils::unwrap(array_map(static fn (Caller $window, int $one) => $window->send($method, $path, is_array($form) ? $form : $form($one)), $windows, array_keys($windows))) as $answer) {
            self::assertContains($answer->getStatusCode(), [302, 303], substr((string) $answer->getBody(), 0, 500));
        }
    }

    private static function rows(string $sql): int
    {
        return (int) self::$school->value("select count(*) from {$sql}");
    }

    public function test_of_ten_drafts_of_a_lesson_one_stands_and_is_published_once(): void
    {
        $lesson = '/keep/courses/clinker/contents/l-planes';
        self::ten(self::$hege, 'PUT', $lesson, static fn (int $one): array => ['version' => 1, 'drafted' => 0, 'text' => "By {$one}", 'later' => true]);
        self::assertSame(['1', 1], [self::$school->value("select drafted_version from contents where item_key = 'l-planes'"), self::rows('drafts')]);
        self::assertSame(1, self::rows("activities where action = 'content.drafted'"));

        $version = (int) self::$school->value('select version from drafts');
        self::ten(self::$hege, 'POST', '/keep/courses/clinker/revisions', ['version' => $version]);
        self::assertSame([2, 0, '2'], [self::rows("revisions where course_id = (select id from courses where key = 'clinker')"), self::rows('drafts'), self::$school->value("select version from contents where item_key = 'l-planes'")]);

        // Taken back by ten, it is taken back once.
        self::ten(self::$hege, 'POST', '/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1]);
        self::assertSame([3, '3'], [self::rows("revisions where course_id = (select id from courses where key = 'clinker')"), self::$school->value("select version from contents where item_key = 'l-planes'")]);
    }

    public function test_what_is_found_is_said_to_be_meant_so_once(): void
    {
        $found = self::$hege->page('/keep/courses/rigging/checks')['findings'];
        self::assertIsArray($found);
        self::assertIsArray($found[0]);
        $row = $found[0];
        self::ten(self::$hege, 'POST', '/keep/courses/rigging/checks/accepted', ['subject' => $row['subject'], 'cause' => $row['cause'], 'reason' => 'Meant']);
        self::assertSame([1, 1], [self::rows('accepted_findings'), self::rows("activities where action = 'finding.accepted'")]);
    }

    public function test_what_was_drafted_is_left_once(): void
    {
        $lesson = '/keep/courses/clinker/contents/l-steam';
        self::$hege->send('PUT', $lesson, ['version' => 1, 'drafted' => 0, 'text' => 'Later.', 'later' => true])->wait();
        self::ten(self::$hege, 'DELETE', $lesson, ['drafted' => 1]);
        self::assertSame([1, '2', 0], [self::rows("activities where action = 'content.draft-left'"), self::$school->value("select drafted_version from contents where item_key = 'l-steam'"), self::rows('drafts')]);
    }

    public function test_the_last_try_at_a_quiz_is_taken_once_and_one_more_is_given_once(): void
    {
        self::$school->pdo()->exec("update contents set quiz_rules = '{\"tries\":1}' where item_key = 'l-timber'");
        self::$eira->post('/courses/clinker/l-planes/finished', []);
        $eira = self::$school->value("select id from people where email = 'eira@alder.test'");
        $version = (int) self::$school->value("select version from contents where item_key = 'l-timber'");
        $answers = ['version' => $version, 'answers' => [[0], [1], [2]]];
        self::ten(self::$eira, 'POST', '/courses/clinker/l-timber/quiz', $answers);
        self::assertSame(1, self::rows("quiz_tries where person_id = {$eira}"));

        self::ten(self::$hege, 'POST', '/keep/people/acts', ['do' => 'try', 'people' => [(int) $eira], 'course' => 'clinker', 'item' => 'l-timber']);
        self::assertSame(1, self::rows('given_tries'));
        self::ten(self::$eira, 'POST', '/courses/clinker/l-timber/quiz', $answers);
        self::assertSame(2, self::rows("quiz_tries where person_id = {$eira}"));
    }

    public function test_what_is_said_on_a_board_stands_there_once(): void
    {
        $mathea = Caller::signedIn(self::$school->address(), 'mathea');
        self::ten($mathea, 'POST', '/courses/steam-frames/b-bench/posts', ['text' => 'Who has a dolly?', 'once' => 'click-1']);
        self::assertSame(1, self::rows("posts where text = 'Who has a dolly?'"));
        $post = self::$school->value("select id from posts where text = 'Who has a dolly?'");
        self::ten($mathea, 'PUT', "/courses/steam-frames/b-bench/posts/{$post}", static fn (int $one): array => ['text' => "Who has dolly {$one}?"]);
        self::assertSame(1, self::rows("posts where id = {$post} and text like 'Who has dolly %'"));
    }

    public function test_a_lesson_that_ten_copy_at_once_is_copied_once(): void
    {
        self::ten(self::$hege, 'POST', '/keep/courses/steam-frames/draft/outline', ['version' => 0, 'do' => 'duplicate', 'item' => 'l-log']);
        $copies = self::rows("contents where item_key like 'l-log-%'");
        self::assertSame(1, $copies);
        self::assertSame($copies, substr_count((string) self::$school->value("select document from drafts where course_id = (select id from courses where key = 'steam-frames')"), '"l-log-'));
    }

    public function test_a_file_of_people_that_ten_take_back_is_taken_back_once(): void
    {
        self::$hege->upload('/keep/people/imports', 'people.csv', "name,email,labels,offer\nAlva,alva@alder.test,keen,taster\n");
        $import = '/keep/people/imports/'.self::$school->value('select max(id) from imports');
        self::$hege->send('POST', "{$import}/read", ['options' => ['columns' => ['name' => 0, 'email' => 1, 'labels' => 2, 'offer' => 3]]])->wait();
        self::$school->command('queue:work', '--stop-when-empty')->mustRun();
        self::$hege->send('POST', $import, [])->wait();
        self::$school->command('queue:work', '--stop-when-empty')->mustRun();
        self::assertSame(1, self::rows("people where email = 'alva@alder.test'"));
        self::ten(self::$hege, 'DELETE', $import, []);
        self::$school->command('queue:work', '--stop-when-empty')->mustRun();
        self::assertSame([0, 1, 'taken back'], [self::rows("people where email = 'alva@alder.test'"), self::rows("activities where action = 'import.taken-back'"), self::$school->value('select state from imports order by id desc limit 1')]);
    }

    public function test_files_of_people_that_are_asked_for_at_once_are_whole(): void
    {
        self::ten(self::$hege, 'POST', '/keep/people/files?sort=newest', []);
        // Whoever asks while one is made gets that one; once it is there, it is made anew.
        self::assertContains(self::rows('people_files'), range(1, 5));
        self::assertSame(0, self::rows("people_files where state <> 'ready' or made <> \"of\" or bytes = 0"));
        self::assertSame(self::rows('people_files'), self::rows('people_file_parts where lines is not null'));
    }

    public function test_somebody_is_erased_once_and_corrected_once(): void
    {
        $kaia = (int) self::$school->value("select id from people where email = 'kaia@alder.test'");
        self::ten(self::$hege, 'PUT', "/keep/people/{$kaia}", static fn (int $one): array => ['name' => "Kaia {$one}", 'email' => "kaia{$one}@alder.test", 'from' => 'kaia@alder.test']);
        self::assertSame(1, self::rows("activities where action = 'person.corrected'"));
        $address = self::$school->value("select email from people where id = {$kaia}");
        self::ten(self::$hege, 'DELETE', "/keep/people/{$kaia}", ['typed' => $address]);
        self::assertSame(1, self::rows("activities where action = 'person.erased'"));
        self::assertSame("Erased person {$kaia}", self::$school->value("select name from people where id = {$kaia}"));
    }
}

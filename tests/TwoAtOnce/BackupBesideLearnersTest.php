<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use GuzzleHttp\Promise\Utils;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Psr\Http\Message\ResponseInterface;
use Tests\PgsqlSchools;
use Tests\SchoolServer;

/** A backup while fifty learners work: whatever was answered before it was there is in it, and comes back elsewhere. */
#[Group('long')]
final class BackupBesideLearnersTest extends TestCase
{
    private const LEARNERS = 50;

    /** As many as one learner may say in a minute. */
    private const ROUNDS = 18;

    private SchoolServer $school;

    private SchoolServer $elsewhere;

    protected function setUp(): void
    {
        $this->school = new SchoolServer(workers: 4);
        $this->elsewhere = new SchoolServer(demo: false);
        $this->school->start();
    }

    protected function tearDown(): void
    {
        $this->school->stop();
        $this->elsewhere->stop();
    }

    public function test_what_was_answered_before_a_backup_ended_is_in_it(): void
    {
        $learners = $this->learners();
        $this->aLargeVideo();
        $backup = $this->school->folder.'/backup.zip';
        $command = $this->school->command('keep:backup', $backup);
        // What was answered while there was no backup yet, and how many of those after it had been begun.
        $before = [];
        $meanwhile = 0;
        for ($round = 1; $round <= self::ROUNDS && ! is_file($backup); $round++) {
            $sent = [];
            foreach ($learners as $n => $learner) {
                $text = "Round {$round} by {$n}";
                $sent[] = $learner->send('POST', '/courses/steam-frames/b-bench/posts', ['text' => $text, 'once' => $text])->then(static function (ResponseInterface $answer) use ($text, $backup, $command, &$before, &$meanwhile): void {
                    self::assertSame(302, $answer->getStatusCode(), substr((string) $answer->getBody(), 0, 500));
                    clearstatcache();
                    if (! is_file($backup)) {
                        $meanwhile += $command->isStarted() ? 1 : 0;
                        // PostgreSQL is packed as it was at one instant after it was begun.
                        if (! PgsqlSchools::areMeant() || ! $command->isStarted()) {
                            $before[] = $text;
                        }
                    }
                });
            }
            if ($round === 2) {
                $command->start();
            }
            Utils::unwrap($sent);
        }
        self::assertSame(0, $command->wait(), $command->getOutput().$command->getErrorOutput());
        self::assertGreaterThan(10, $meanwhile, 'Nobody worked meanwhile.');

        $this->elsewhere->artisan('keep:restore', $backup);
        $there = $this->texts($this->elsewhere);
        self::assertSame([], array_values(array_diff($before, $there)));
        // And nothing that is not here.
        self::assertSame([], array_values(array_diff($there, $this->texts($this->school))));
        self::assertSame(filesize($this->school->folder.'/files/media/long-video'), filesize($this->elsewhere->folder.'/files/media/long-video'));
    }

    /** @return array<int, Caller> */
    private function learners(): array
    {
        $pdo = $this->school->pdo();
        $oda = "from people o where o.email = 'oda@alder.test'";
        for ($n = 1; $n <= self::LEARNERS; $n++) {
            $pdo->exec("insert into people (name, email, password) select 'Crew {$n}', 'crew{$n}@alder.test', password {$oda}");
        }
        foreach (['passes' => 'course_id, offer_id, starts_at, ends_at, paced_from, state, source', 'labels' => 'label, source', 'completions' => 'course_id, item_key, completed_at'] as $table => $columns) {
            $pdo->exec("insert into {$table} (person_id, {$columns}) select c.id, {$columns} from {$table} t, people c where t.person_id = (select id {$oda}) and c.email like 'crew%'");
        }

        return array_map(fn (int $n): Caller => Caller::signedIn($this->school->address(), "crew{$n}"), range(1, self::LEARNERS));
    }

    /** So that there is something that takes a while to be packed. */
    private function aLargeVideo(): void
    {
        $file = fopen($this->school->folder.'/files/media/long-video', 'x');
        assert($file !== false);
        ftruncate($file, 400_000_000);
        fclose($file);
        $pdo = $this->school->pdo();
        $pdo->exec("insert into media (path, course_id, item_key, kind, title, name, type, bytes, position) select 'media/long-video', course_id, item_key, kind, title, name, type, 400000000, 99 from media limit 1");
    }

    /** @return array<string> */
    private function texts(SchoolServer $school): array
    {
        $all = PgsqlSchools::areMeant() ? 'json_agg' : 'json_group_array';

        return array_filter((array) json_decode((string) $school->value("select {$all}(text) from posts where text like 'Round %'")), is_string(...));
    }
}

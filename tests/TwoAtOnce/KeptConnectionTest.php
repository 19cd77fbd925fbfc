<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use PDO;
use PHPUnit\Framework\TestCase;
use Tests\SchoolServer;

/** A server keeps its connection to SQLite from one request to the next, and nothing else of them. */
final class KeptConnectionTest extends TestCase
{
    private SchoolServer $school;

    private string $address;

    private string $file;

    protected function setUp(): void
    {
        $this->school = new SchoolServer(demo: false);
        $this->file = $this->school->folder.'/kept.sqlite';
        $this->fileWith('first');
        $this->address = $this->school->beside(static fn (int $port): array => [PHP_BINARY, '-S', "127.0.0.1:{$port}", dirname(__DIR__).'/kept-connection.php']);
    }

    protected function tearDown(): void
    {
        $this->school->stop();
    }

    public function test_the_next_request_has_the_same_connection(): void
    {
        self::assertSame(['words' => ['first'], 'temporary' => 0, 'changes' => 0], $this->ask('/is'));
        $this->ask('/writes');
        self::assertSame(['words' => ['first', 'written'], 'temporary' => 0, 'changes' => 1], $this->ask('/is'));
    }

    public function test_whoever_runs_out_of_memory_while_writing_keeps_nobody_waiting_and_leaves_nothing(): void
    {
        $this->ask('/is');
        self::assertNull($this->ask('/dies'));
        $beside = new PDO("sqlite:{$this->file}");
        $beside->exec('PRAGMA busy_timeout = 0');
        $beside->exec("insert into words values ('beside')");
        $told = $this->ask('/is');
        self::assertSame([['first', 'beside'], 0], [$told['words'] ?? null, $told['temporary'] ?? null]);
        self::assertGreaterThan(0, $told['changes'] ?? 0, 'It is the connection that was left.');
    }

    public function test_another_file_in_its_place_is_read_from_then_on(): void
    {
        $this->ask('/writes');
        $this->fileWith('restored');
        self::assertSame(['words' => ['restored'], 'temporary' => 0, 'changes' => 0], $this->ask('/is'));
    }

    private function fileWith(string $word): void
    {
        $new = new PDO("sqlite:{$this->file}.new");
        $new->exec('create table words (word text)');
        $new->prepare('insert into words values (?)')->execute([$word]);
        unset($new);
        foreach (['-wal', '-shm'] as $end) {
            if (is_file($this->file.$end)) {
                unlink($this->file.$end);
            }
        }
        rename("{$this->file}.new", $this->file);
    }

    /** @return ?array<mixed> null: it failed */
    private function ask(string $path): ?array
    {
        $answer = file_get_contents($this->address.$path, false, stream_context_create(['http' => ['ignore_errors' => true, 'timeout' => 20]]));
        $told = json_decode((string) $answer, true);

        return is_array($told) ? $told : null;
    }
}

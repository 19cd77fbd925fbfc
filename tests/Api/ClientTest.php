<?php

declare(strict_types=1);

namespace Tests\Api;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Tests\SchoolServer;

/** The generated client and its example, run as programs of others against a real server. The one in TypeScript: `resources/js/lib/client.test.ts`. */
final class ClientTest extends TestCase
{
    private static SchoolServer $school;

    private static string $token;

    public static function setUpBeforeClass(): void
    {
        self::$school = new SchoolServer;
        self::$school->start();
        $made = self::$school->command('keep:token', 'A page', '--may=decide', '--may=change-people');
        $made->mustRun();
        self::$token = trim($made->getOutput());
    }

    public static function tearDownAfterClass(): void
    {
        self::$school->stop();
    }

    public function test_the_example_lets_in_whoever_may_read(): void
    {
        self::assertSame("Come in.\n", self::php('docs/interface/may-read.php', 'eira@alder.test'));
        self::assertSame("Not yet.\n", self::php('docs/interface/may-read.php', 'jonas@alder.test'));
    }

    public function test_what_is_refused_is_thrown_with_what_is_wrong(): void
    {
        $code = <<<'PHP'
            require 'resources/api/client.php';
            $keep = new SilentKeep((string) getenv('KEEP_SCHOOL'), (string) getenv('KEEP_TOKEN'));
            $asked = [
                static fn () => $keep->decisionsOne('nothing', kind: 'visitor'),
                static fn () => $keep->peopleList(),
                static fn () => $keep->peopleAct(['do' => 'label', 'people' => [3]]),
            ];
            foreach ($asked as $ask) {
                try {
                    $ask();
                } catch (SilentKeepProblem $e) {
                    echo $e->status, ' ', $e->problem['parameter'] ?? $e->problem['errors'][0]['pointer'] ?? '', "\n";
                }
            }
            echo $keep->peopleAct(['do' => 'label', 'people' => [3], 'label' => 'spring'], idempotencyKey: 'a')['touched'], "\n";
            echo count($keep->decisionsMany(['course' => 'clinker', 'people' => [3, 4]])['people']), "\n";
            echo strlen($keep->formatsCalendar('clinker', vantage: 'person:3')) > 100 ? 'calendar' : '', "\n";
            PHP;

        self::assertSame("422 course\n403 \n422 /label\n1\n2\ncalendar\n", self::php('-r', $code));
    }

    private static function php(string ...$words): string
    {
        $process = new Process([(string) (new PhpExecutableFinder)->find(), ...$words], dirname(__DIR__, 2), ['KEEP_CLIENT' => dirname(__DIR__, 2).'/resources/api/client.php', 'KEEP_SCHOOL' => self::$school->address(), 'KEEP_TOKEN' => self::$token]);
        $process->mustRun();

        return $process->getOutput();
    }
}

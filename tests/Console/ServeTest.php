<?php

declare(strict_types=1);

namespace Tests\Console;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\SchoolServer;

/** Whatever ends the server ends what it began beside it. */
final class ServeTest extends TestCase
{
    private const SECONDS = 60;

    #[DataProvider('signals')]
    public function test_a_signal_leaves_no_process_behind(int $signal): void
    {
        $school = new SchoolServer;
        $port = self::freePort();
        // By this it is told apart from whatever else runs here.
        $mark = $school->folder;
        $process = new Process(['bin/serve', (string) $port], dirname(__DIR__, 2), ['DB_DATABASE' => $school->database(), 'LOGS_ROOT' => $mark, 'APP_ENV' => 'testing', 'SERVE_MARK' => $mark], timeout: null);
        $process->start();
        try {
            self::until(static fn (): bool => @fsockopen('127.0.0.1', $port) !== false, 'Nothing is served.');
            self::until(fn (): bool => count(self::of($mark)) >= 4, 'The schedule and the queue do not run.');
            $process->signal($signal);
            self::until(static fn (): bool => ! $process->isRunning(), 'It goes on.');
            self::until(fn (): bool => self::of($mark) === [], 'Something is left: '.implode(', ', self::of($mark)));
            self::assertFalse(@fsockopen('127.0.0.1', $port), 'Something is served still.');
        } finally {
            array_map(static fn (int|string $pid): bool => posix_kill((int) $pid, SIGKILL), array_keys(self::of($mark)));
            $school->stop();
        }
    }

    /** @return array<string, array{int}> */
    public static function signals(): array
    {
        return ['its end is asked for' => [SIGTERM], 'Ctrl C' => [SIGINT], 'the terminal is closed' => [SIGHUP]];
    }

    /** @return array<int, string> by number: what runs with this mark in its environment */
    private static function of(string $mark): array
    {
        $found = [];
        foreach (glob('/proc/[0-9]*/environ') ?: [] as $file) {
            if (str_contains((string) @file_get_contents($file), "SERVE_MARK={$mark}")) {
                $found[(int) basename(dirname($file))] = str_replace("\0", ' ', (string) @file_get_contents(dirname($file).'/cmdline'));
            }
        }

        return array_filter($found, static fn (string $words): bool => $words !== '');
    }

    private static function until(\Closure $is, string $else): void
    {
        for ($end = microtime(true) + self::SECONDS; microtime(true) < $end; usleep(100_000)) {
            if ($is()) {
                return;
            }
        }
        self::fail($else);
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('No free port.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }
}

<?php

declare(strict_types=1);

namespace Tests;

use App\Database\LedgerWords;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/** The demo school in a folder and a database of its own, served on a port of its own, with a clock of its own. */
final class SchoolServer
{
    /**
     * The instant at which a school is loaded, the same on whatever day the tests run; TESTS_AT names another. It lies
     * ahead of the machine's own clock, by which browsers forget cookies.
     */
    private const LOADED_AT = '2037-03-10T10:30:00Z';

    /** @var list<resource> files whose locks claim ports */
    private array $claims = [];

    /** @var list<Process> beside the server */
    private array $helpers = [];

    private ?Process $server = null;

    private int $port = 0;

    /** Seconds by which the clock of the application goes ahead. */
    private int $ahead;

    public readonly string $folder;

    /** When the school was loaded, by its own clock. */
    public readonly int $loadedAt;

    /**
     * @param  int  $workers  requests that are answered at once
     * @param  array<string, string>  $environment  where it is not as usual
     */
    public function __construct(private readonly int $workers = 1, private readonly array $environment = [], bool $demo = true)
    {
        $this->folder = sys_get_temp_dir().'/silent-keep-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        mkdir($this->folder.'/sessions');
        $this->loadedAt = (int) strtotime(getenv('TESTS_AT') ?: self::LOADED_AT);
        $this->ahead = $this->loadedAt - time();
        $fill = fn () => $this->fill($demo);
        $environment === [] ? FilledSchools::copy($this->folder, $this->database(), "{$this->loadedAt}-".($demo ? 'demo' : 'empty'), $fill) : $fill();
    }

    private function fill(bool $demo): void
    {
        PgsqlSchools::areMeant() ? PgsqlSchools::make($this->database()) : touch($this->database());
        $this->artisan('migrate', '--force');
        if ($demo) {
            $this->artisan('keep:demo', '--begun');
        }
    }

    public function start(): void
    {
        $this->onAFreePort(function (int $port): void {
            $this->port = $port;
            $this->serve();
        });
    }

    /** Starts the server again as if it were so many seconds after the school was loaded. */
    public function startAgain(int $after): void
    {
        self::end($this->server);
        // Who is killed may answer for a moment still, in place of the next.
        for ($try = 0; $try < 300 && self::answers($this->port); $try++) {
            usleep(10_000);
        }
        $this->ahead = $this->loadedAt + $after - time();
        $this->serve();
    }

    /** Ends everything and leaves nothing behind. */
    public function stop(): void
    {
        foreach ([$this->server, ...$this->helpers] as $process) {
            self::end($process);
        }
        array_map(fclose(...), $this->claims);
        $this->claims = [];
        if (PgsqlSchools::areMeant()) {
            PgsqlSchools::drop($this->database());
        }
        (new Process(['rm', '-rf', $this->folder]))->run();
    }

    /** With the workers that it has forked, which would outlive it. */
    private static function end(?Process $process): void
    {
        $pid = $process?->getPid();
        if ($pid !== null) {
            (new Process(['pkill', '-KILL', '-P', (string) $pid]))->run();
        }
        $process?->stop(2);
    }

    /** How often who has asked for what. */
    public function forgetThrottles(): void
    {
        RedisKeys::forgetAllButSessions($this->prefix());
        (new Process(['rm', '-rf', $this->folder.'/cache']))->mustRun();
    }

    /** Nobody is signed in any more, whatever a browser that waits for an answer brings back. For a server with one worker. */
    public function endSessions(): void
    {
        // Answered when all that was asked before has been.
        (new Client(['http_errors' => false, 'timeout' => 60]))->get($this->address().'/up');
        array_map(unlink(...), glob($this->folder.'/sessions/*') ?: []);
        RedisKeys::forgetSessions($this->prefix());
    }

    private function prefix(): string
    {
        return substr($this->folder, -12).':';
    }

    /**
     * The cookies of somebody who has signed in with a password, by name.
     *
     * @return array<string, string>
     */
    public function signedIn(string $email, string $password): array
    {
        $jar = new CookieJar;
        $client = new Client(['base_uri' => $this->address(), 'cookies' => $jar, 'allow_redirects' => false, 'timeout' => 60]);
        $client->get('/sign-in');
        $client->post('/sign-in', ['form_params' => ['email' => $email, 'password' => $password], 'headers' => ['X-XSRF-TOKEN' => rawurldecode((string) $jar->getCookieByName('XSRF-TOKEN')?->getValue())]]);

        return array_column($jar->toArray(), 'Value', 'Name');
    }

    /** Of the server, whose workers are its children. */
    public function pid(): int
    {
        return $this->server?->getPid() ?? throw new \LogicException('It is not served.');
    }

    /** Without a slash at its end. */
    public function address(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    /** Its file, or what PostgreSQL calls it. */
    public function database(): string
    {
        return PgsqlSchools::areMeant() ? 'served_'.substr($this->folder, -12) : $this->folder.'/school.sqlite';
    }

    /** Beside what is served. */
    public function pdo(): \PDO
    {
        if (PgsqlSchools::areMeant()) {
            return PgsqlSchools::connect($this->database());
        }
        $pdo = new \PDO('sqlite:'.$this->database());
        $pdo->exec('PRAGMA busy_timeout = 10000');
        LedgerWords::teachAlone($pdo);

        return $pdo;
    }

    public function artisan(string ...$words): string
    {
        return $this->command(...$words)->setTimeout(120)->mustRun()->getOutput();
    }

    /** A command that is not run yet. */
    public function command(string ...$words): Process
    {
        return new Process([self::php(), 'artisan', ...$words], self::root(), $this->environment(), timeout: null);
    }

    /** The first value that a query of the school's database gives. */
    public function value(string $sql): ?string
    {
        $rows = $this->pdo()->query($sql);
        $value = $rows === false ? null : $rows->fetchColumn();

        return is_scalar($value) && $value !== false ? (string) $value : null;
    }

    /**
     * Starts something that listens on a port, beside the server; its output goes nowhere, for a full pipe would stop it.
     *
     * @param  callable(int): list<string>  $command  for a port
     * @return string its address
     */
    public function beside(callable $command): string
    {
        $address = '';
        $this->onAFreePort(function (int $port) use ($command, &$address): void {
            $this->helpers[] = $this->listening($command($port), $port);
            $address = "http://127.0.0.1:{$port}";
        });

        return $address;
    }

    private function serve(): void
    {
        $this->server = $this->listening([self::php(), '-S', "127.0.0.1:{$this->port}", self::root().'/server.php'], $this->port);
    }

    /**
     * @param  list<string>  $command
     *
     * @throws \RuntimeException if it ends at once, as it does where somebody else has the port
     */
    private function listening(array $command, int $port): Process
    {
        $process = (new Process($command, self::root().'/public', $this->environment(), timeout: null))->disableOutput();
        $process->start();
        for ($try = 0; $try < 300; $try++) {
            if (! $process->isRunning()) {
                throw new \RuntimeException("{$command[0]} does not run on port {$port}.");
            }
            if (self::answers($port)) {
                return $process;
            }
            usleep(100_000);
        }
        throw new \RuntimeException("Nothing answers: {$command[0]} on port {$port}.");
    }

    private static function answers(int $port): bool
    {
        // Refused until it listens: that is no warning of the test.
        set_error_handler(static fn (): bool => true);
        $socket = fsockopen('127.0.0.1', $port, timeout: 1);
        restore_error_handler();
        if ($socket !== false) {
            fclose($socket);
        }

        return $socket !== false;
    }

    /**
     * Tests that run beside this one look for ports as well: each is claimed by a lock on a file until this school ends.
     *
     * @param  callable(int): void  $listen
     */
    private function onAFreePort(callable $listen): void
    {
        for ($try = 1; ; $try++) {
            $socket = stream_socket_server('tcp://127.0.0.1:0');
            assert($socket !== false);
            $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
            fclose($socket);
            $claim = fopen(sys_get_temp_dir()."/silent-keep-port-{$port}", 'c');
            assert($claim !== false);
            if (! flock($claim, LOCK_EX | LOCK_NB)) {
                continue;
            }
            $this->claims[] = $claim;
            try {
                $listen($port);

                return;
            } catch (\RuntimeException $e) {
                if ($try >= 10) {
                    throw $e;
                }
            }
        }
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_KEY' => 'base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=', ...(PgsqlSchools::areMeant() ? PgsqlSchools::environment($this->database()) : ['DB_CONNECTION' => 'sqlite', 'DB_DATABASE' => $this->database()]), 'FILES_ROOT' => $this->folder.'/files', 'CACHE_ROOT' => $this->folder.'/cache', 'SESSION_ROOT' => $this->folder.'/sessions',
            'APP_URL' => $this->address(), 'SESSION_DRIVER' => PgsqlSchools::areMeant() ? 'redis' : 'file', 'CACHE_STORE' => PgsqlSchools::areMeant() ? 'redis' : 'file', 'REDIS_PREFIX' => $this->prefix(), 'QUEUE_CONNECTION' => 'sync', 'BCRYPT_ROUNDS' => '4', 'LOG_CHANNEL' => 'single',
            'CLOCK_AHEAD' => (string) $this->ahead, ...($this->workers > 1 ? ['PHP_CLI_SERVER_WORKERS' => (string) $this->workers] : []), ...$this->environment,
        ];
    }

    private static function php(): string
    {
        return (string) (new PhpExecutableFinder)->find();
    }

    private static function root(): string
    {
        return dirname(__DIR__);
    }
}

<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Support\Facades\Storage;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Process;

/**
 * The school's files in a store elsewhere that speaks S3, for one test; its server is there for as long as the process is. With
 * TESTS_FILES=elsewhere all tests have their files there.
 */
final class ObjectStore
{
    private static ?Process $server = null;

    private static string $folder = '';

    private static int $port = 0;

    private function __construct(private readonly string $prefix)
    {
    }

    public static function isMeant(): bool
    {
        return getenv('TESTS_FILES') === 'elsewhere';
    }

    /** Files are kept there from now on, and nothing is there yet. */
    public static function begin(): self
    {
        self::$server ??= self::start();
        $store = new self(bin2hex(random_bytes(6)));
        config(['filesystems.default' => 's3', 'filesystems.disks.s3' => [
            'driver' => 's3', 'key' => 'anybody', 'secret' => 'nothing', 'region' => 'us-east-1', 'bucket' => 'school', 'root' => $store->prefix, 'endpoint' => 'http://127.0.0.1:'.self::$port, 'use_path_style_endpoint' => true, 'throw' => true,
        ]]);
        Storage::forgetDisk('s3');

        return $store;
    }

    /** What lies in a folder of this machine lies there as well. */
    public function take(string $folder): void
    {
        foreach (is_dir($folder) ? (new Finder)->files()->in($folder) : [] as $file) {
            copy($file->getPathname(), self::$folder.'/'.bin2hex("{$this->prefix}/".strtr($file->getRelativePathname(), '\\', '/')));
        }
    }

    /** @return list<string> the paths of all that lies there */
    public function paths(): array
    {
        $keys = array_map(static fn (string $file): string => (string) hex2bin(basename($file)), glob(self::$folder.'/*') ?: []);

        return array_values(array_map(fn (string $key): string => substr($key, strlen($this->prefix) + 1), array_filter($keys, fn (string $key): bool => str_starts_with($key, "{$this->prefix}/"))));
    }

    private static function start(): Process
    {
        self::$folder = sys_get_temp_dir().'/objects-'.bin2hex(random_bytes(6));
        mkdir(self::$folder);
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        assert($socket !== false);
        self::$port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $server = new Process([PHP_BINARY, '-S', '127.0.0.1:'.self::$port, __DIR__.'/object-store.php'], env: ['OBJECTS' => self::$folder], timeout: null);
        // Nobody reads what it says of each request, and it waits where nobody does.
        $server->disableOutput()->start();
        for ($tries = 0; $tries < 500 && ($open = @fsockopen('127.0.0.1', self::$port)) === false; $tries++) {
            usleep(20_000);
        }
        $folder = self::$folder;
        register_shutdown_function(static function () use ($server, $folder): void {
            $server->stop(1);
            (new Process(['rm', '-rf', $folder]))->run();
        });

        return $server;
    }
}

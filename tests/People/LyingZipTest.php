<?php

declare(strict_types=1);

namespace Tests\People;

use App\People\Import\NotReadable;
use App\People\Import\Roster\RosterPeople;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A bundle of a few kilobytes that would fill the machine, whatever it says of its sizes. */
final class LyingZipTest extends TestCase
{
    private string $path;

    protected function setUp(): void
    {
        $this->path = (string) tempnam(sys_get_temp_dir(), 'roster');
    }

    protected function tearDown(): void
    {
        unlink($this->path);
    }

    #[DataProvider('bundles')]
    public function test_what_comes_out_of_a_bundle_is_counted(string $line, int $times, int $told): void
    {
        $this->bundle($line, $times, $told);
        self::assertLessThan(2_000_000, filesize($this->path));
        memory_reset_peak_usage();
        $before = memory_get_usage();
        try {
            RosterPeople::classes($this->path, 20_000_000);
            self::fail('It was read.');
        } catch (NotReadable $e) {
            self::assertStringContainsString('is too large', $e->getMessage());
        }
        self::assertLessThan($before + 10_000_000, memory_get_peak_usage());
    }

    /** @return array<string, array{string, int, int}> a line, how often it comes, and the size that the bundle tells of it */
    public static function bundles(): array
    {
        return [
            'says that it is large' => ["a\n", 123_456, 300_000_000],
            'says that it is small' => [str_repeat('a', 90_000)."\n", 250, 1_000],
            'one line without an end' => [str_repeat('a', 100_000), 200, 1_000],
            'one cell without an end' => ['"'.str_repeat("a\n", 50_000).'"', 201, 1_000],
        ];
    }

    private function bundle(string $line, int $times, int $told): void
    {
        $large = (string) tempnam(sys_get_temp_dir(), 'large');
        $file = fopen($large, 'w');
        assert($file !== false);
        for ($n = 0; $n < $times; $n++) {
            fwrite($file, $line);
        }
        fclose($file);
        $zip = new \ZipArchive;
        $zip->open($this->path, \ZipArchive::OVERWRITE);
        $zip->addFile($large, 'classes.csv');
        $zip->addFromString('enrollments.csv', "sourcedId\n");
        $zip->addFromString('users.csv', "sourcedId\n");
        $zip->close();
        // It stands in the directory and at the head of the file itself.
        $bytes = str_replace(pack('V', filesize($large)), pack('V', $told), (string) file_get_contents($this->path), $found);
        self::assertSame(2, $found);
        unlink($large);
        file_put_contents($this->path, $bytes);
        $zip->open($this->path, \ZipArchive::RDONLY);
        self::assertSame($told, $zip->statName('classes.csv')['size'] ?? null);
        $zip->close();
    }
}

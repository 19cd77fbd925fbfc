<?php

declare(strict_types=1);

namespace Tests\School;

use App\School\Backup\BackupRefused;
use App\School\Backup\StoredZip;
use PHPUnit\Framework\TestCase;
use ZipArchive;

/** What it writes is read by somebody else's reader, which checks that all of its parts agree. */
final class StoredZipTest extends TestCase
{
    private string $path;

    protected function setUp(): void
    {
        $this->path = sys_get_temp_dir().'/silent-keep-'.bin2hex(random_bytes(6)).'.zip';
    }

    protected function tearDown(): void
    {
        is_file($this->path) && unlink($this->path);
    }

    public function test_entries_come_out_as_they_went_in(): void
    {
        $entries = ['empty' => '', 'a/b.txt' => "x\0y", 'vår.txt' => 'æ', 'large' => random_bytes(3_000_001)];
        $zip = StoredZip::create($this->path, (int) strtotime('2026-03-10T12:34:56Z'));
        foreach ($entries as $name => $text) {
            $zip->addText($name, $text);
        }
        self::assertTrue($zip->addFile('this', __FILE__));
        self::assertFalse($zip->addFile('none', __DIR__.'/none'));
        $zip->close();
        self::assertSame('0600', substr(sprintf('%o', fileperms($this->path)), -4));

        $read = $this->read();
        self::assertSame(count($entries) + 1, $read->count());
        foreach ([...$entries, 'this' => (string) file_get_contents(__FILE__)] as $name => $text) {
            self::assertSame($text, $read->getFromName($name), $name);
        }
        // The format knows no zone; readers take it for local time.
        self::assertSame('2026-03-10 12:34:56', date('Y-m-d H:i:s', $read->statName('empty')['mtime'] ?? 0));
    }

    public function test_more_entries_than_the_format_had_numbers_for_at_first(): void
    {
        $zip = StoredZip::create($this->path, 0);
        for ($n = 0; $n < 70_000; $n++) {
            $zip->addText("n{$n}", "{$n}");
        }
        $zip->close();
        $read = $this->read();
        self::assertSame(70_000, $read->count());
        self::assertSame('69999', $read->getFromName('n69999'));
    }

    public function test_nothing_at_all_is_a_whole_file_too(): void
    {
        StoredZip::create($this->path, 0)->close();
        self::assertSame(0, $this->read()->count());
    }

    public function test_a_file_that_is_there_is_left_alone(): void
    {
        file_put_contents($this->path, 'mine');
        $this->expectException(BackupRefused::class);
        StoredZip::create($this->path, 0);
    }

    private function read(): ZipArchive
    {
        $zip = new ZipArchive;
        self::assertTrue($zip->open($this->path, ZipArchive::CHECKCONS | ZipArchive::RDONLY));

        return $zip;
    }
}

<?php

declare(strict_types=1);

namespace App\School\Backup;

/**
 * Writes a ZIP file from front to back, its entries as they are, without compression. To what is written already more can
 * be added in no time, for which {@see \ZipArchive} would copy all of it. Sizes and offsets are those of ZIP64 throughout,
 * so that no length needs a form of its own (PKWARE APPNOTE 6.3, sections 4.3 to 4.5).
 */
final class StoredZip
{
    private const CHUNK = 1 << 20;

    /** A size or offset that stands in the ZIP64 field. */
    private const ELSEWHERE = 0xFFFFFFFF;

    /** Of the specification that a reader has to know: 4.5, ZIP64. */
    private const VERSION = 45;

    private const NAMES_ARE_UTF8 = 1 << 11;

    private int $count = 0;

    private int $end = 0;

    private string $directory = '';

    /** @param  resource  $file  that can be written to and sought in, and is empty */
    private function __construct(private $file, private readonly string $stamp)
    {
    }

    /**
     * @param  int  $at  instant that is given to its entries, in UTC, to two seconds
     *
     * @throws BackupRefused if it is there, or cannot be written
     */
    public static function create(string $path, int $at): self
    {
        $usual = umask(0077);
        $file = @fopen($path, 'xb');
        umask($usual);
        if ($file === false) {
            throw BackupRefused::notWritable(dirname($path));
        }
        [$year, $month, $day, $hour, $minute, $second] = array_map(intval(...), explode(' ', gmdate('Y n j G i s', $at)));

        return new self($file, pack('vv', $hour << 11 | $minute << 5 | $second >> 1, max(0, min(127, $year - 1980)) << 9 | $month << 5 | $day));
    }

    /**
     * @return bool whether the file is there to be added
     *
     * @throws BackupRefused if there is no room for it
     */
    public function addFile(string $name, string $path): bool
    {
        $from = @fopen($path, 'rb');
        if ($from === false) {
            return false;
        }
        $this->addStream($name, $from);

        return true;
    }

    /**
     * @param  resource  $from  is read to its end, and closed
     *
     * @throws BackupRefused if there is no room for it
     */
    public function addStream(string $name, $from): void
    {
        $this->add($name, static function () use ($from): string {
            return (string) fread($from, self::CHUNK);
        });
        fclose($from);
    }

    /** @throws BackupRefused if there is no room for it */
    public function addText(string $name, string $text): void
    {
        $rest = [$text, ''];
        $this->add($name, static function () use (&$rest): string {
            return (string) array_shift($rest);
        });
    }

    /** @throws BackupRefused if there is no room for it */
    public function close(): void
    {
        $start = $this->end;
        $size = strlen($this->directory);
        $this->write($this->directory);
        $this->write("PK\x06\x06".pack('PvvVVPPPP', 44, self::VERSION, self::VERSION, 0, 0, $this->count, $this->count, $size, $start));
        $this->write("PK\x06\x07".pack('VPV', 0, $start + $size, 1));
        $this->write("PK\x05\x06".pack('vvvvVVv', 0, 0, 0xFFFF, 0xFFFF, self::ELSEWHERE, self::ELSEWHERE, 0));
        $this->flush();
        fclose($this->file);
    }

    /**
     * Waits until all of it is on the disk.
     *
     * @throws BackupRefused if there is no room for it
     */
    public function flush(): void
    {
        if (! fflush($this->file) || ! fsync($this->file)) {
            throw BackupRefused::noRoom();
        }
    }

    /** @param  \Closure(): string  $next  the next of its bytes; none: that was all */
    private function add(string $name, \Closure $next): void
    {
        $start = $this->end;
        // What is in it, and how much, is known afterwards.
        $this->write($this->head($name, "\0\0\0\0", 0));
        $sum = hash_init('crc32b');
        $size = 0;
        while (($bytes = $next()) !== '') {
            hash_update($sum, $bytes);
            $size += strlen($bytes);
            $this->write($bytes);
        }
        $sum = strrev(hash_final($sum, true));
        fseek($this->file, $start);
        $this->put($this->head($name, $sum, $size));
        fseek($this->file, $this->end);
        // Readable by its owner alone, where it is unpacked as it is.
        $this->directory .= "PK\x01\x02".pack('vvvv', 3 << 8 | self::VERSION, self::VERSION, self::NAMES_ARE_UTF8, 0).$this->stamp.$sum
            .pack('VVvvvvvVV', self::ELSEWHERE, self::ELSEWHERE, strlen($name), 28, 0, 0, 0, 0100600 << 16, self::ELSEWHERE).$name.pack('vvPPP', 1, 24, $size, $size, $start);
        $this->count++;
    }

    private function head(string $name, string $sum, int $size): string
    {
        return "PK\x03\x04".pack('vvv', self::VERSION, self::NAMES_ARE_UTF8, 0).$this->stamp.$sum.pack('VVvv', self::ELSEWHERE, self::ELSEWHERE, strlen($name), 20).$name.pack('vvPP', 1, 16, $size, $size);
    }

    private function write(string $bytes): void
    {
        $this->put($bytes);
        $this->end += strlen($bytes);
    }

    private function put(string $bytes): void
    {
        if (@fwrite($this->file, $bytes) !== strlen($bytes)) {
            throw BackupRefused::noRoom();
        }
    }
}

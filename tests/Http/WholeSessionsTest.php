<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Http\WholeSessions;
use Illuminate\Filesystem\Filesystem;
use PHPUnit\Framework\TestCase;

final class WholeSessionsTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/silent-keep-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        (new Filesystem)->deleteDirectory($this->folder);
    }

    public function test_what_is_written_is_read_by_the_next(): void
    {
        $one = $this->handler();
        self::assertSame('', $one->read('a'));
        $one->write('a', 'first');
        self::assertSame('first', $this->handler()->read('a'));
        $one->write('a', 'second');
        $next = $this->handler();
        self::assertSame('second', $next->read('a'));
        $next->write('a', 'third');
        self::assertSame('third', $this->handler()->read('a'));
        self::assertSame('0600', substr(sprintf('%o', fileperms($this->folder.'/a')), -4));
        // Nothing is left beside it.
        self::assertSame(['a'], array_values(array_diff(scandir($this->folder) ?: [], ['.', '..'])));
    }

    public function test_whoever_signs_out_while_a_page_is_under_way_is_not_signed_in_again_by_it(): void
    {
        $this->handler()->write('a', 'signed in');
        $page = $this->handler();
        self::assertSame('signed in', $page->read('a'));
        $this->handler()->destroy('a');
        $page->write('a', 'signed in, and looked at a page');
        self::assertSame('', $this->handler()->read('a'));
        // Another session can begin in the same handler, and under the same name.
        $page->write('b', 'new');
        self::assertSame('', $page->read('a'));
        $page->write('a', 'new');
        self::assertSame(['new', 'new'], [$this->handler()->read('a'), $this->handler()->read('b')]);
    }

    private function handler(): WholeSessions
    {
        return new WholeSessions(new Filesystem, $this->folder, 60);
    }
}

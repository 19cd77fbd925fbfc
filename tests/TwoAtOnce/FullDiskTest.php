<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Database\DiskFull;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use League\Flysystem\UnableToWriteFile;
use Tests\PgsqlSchools;
use Tests\TestCase;

/** Where nothing more can be written that is said, and nothing is half done; when there is room again it goes on. */
final class FullDiskTest extends TestCase
{
    private const POST = '/courses/steam-frames/b-bench/posts';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_a_page_says_so(): void
    {
        $said = ['text' => str_repeat('Much to say. ', 300)];
        $this->actingAs($this->person('ask'));
        $before = $this->written();
        $this->fill();
        $this->post(self::POST, $said)->assertStatus(507)->assertInertia(fn (Page $page) => $page->component('Error')->where('status', 507)->where('why', 'full'));
        self::assertSame($before, $this->written());
        $this->get('/courses/steam-frames')->assertOk();
        $this->makeRoom();
        $this->post(self::POST, $said)->assertRedirect()->assertSessionHasNoErrors();
        self::assertSame($before[0] + 1, $this->written()[0]);
    }

    public function test_of_files_too(): void
    {
        self::assertTrue(DiskFull::was(UnableToWriteFile::atLocation('media/x', 'file_put_contents(): Write of 9 bytes failed with errno=28 No space left on device')));
        self::assertFalse(DiskFull::was(new \RuntimeException('No.')));
    }

    /** @return array{int, int} */
    private function written(): array
    {
        return [DB::table('posts')->count(), DB::table('activities')->count()];
    }

    private function fill(): void
    {
        if (PgsqlSchools::areMeant()) {
            DB::unprepared("create function no_room() returns trigger language plpgsql as 'begin raise exception ''no room'' using errcode = ''53100''; end'");
            DB::unprepared('create trigger no_room before insert on posts execute function no_room()');
        } else {
            // Not a page more than there are, and none of them free.
            DB::unprepared('vacuum');
            DB::unprepared('pragma max_page_count = 1');
        }
    }

    private function makeRoom(): void
    {
        DB::unprepared(PgsqlSchools::areMeant() ? 'drop trigger no_room on posts' : 'pragma max_page_count = 1000000');
    }
}

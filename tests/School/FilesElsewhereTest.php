<?php

declare(strict_types=1);

namespace Tests\School;

use App\Files\LocalCopies;
use App\Models\Medium;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\ObjectStore;
use Tests\People\BringsPeopleIn;
use Tests\SchoolFile;
use Tests\TestCase;

/** The school's files in a store that speaks S3: what goes through us goes through us still, to nobody else, and in parts. */
final class FilesElsewhereTest extends TestCase
{
    use BringsPeopleIn;

    private ObjectStore $store;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->store = $this->filesElsewhere();
    }

    /** @return array{string, string} the address of a film as it stands in its lesson, and what it is made of */
    private function film(string $person): array
    {
        $address = '';
        $this->actingAs($this->person($person))->get('/courses/clinker/l-steam')->assertOk()->assertInertia(function (Page $page) use (&$address): void {
            $address = $page->toArray()['props']['media'][0]['href'];
        });
        $medium = Medium::query()->where('item_key', 'l-steam')->orderBy('position')->firstOrFail();

        return [is_string($address) ? $address : '', (string) Storage::get($medium->path)];
    }

    public function test_a_film_comes_whole_and_to_nobody_who_may_not_see_it(): void
    {
        [$address, $bytes] = $this->film('ragna');
        self::assertGreaterThan(1000, strlen($bytes));
        $whole = $this->get($address)->assertOk()->assertHeader('Content-Type', 'video/webm')->assertHeader('Accept-Ranges', 'bytes')->assertHeader('Content-Length', (string) strlen($bytes));
        self::assertSame($bytes, $whole->streamedContent());
        self::assertStringContainsString('private', (string) $whole->headers->get('Cache-Control'));
        self::assertStringStartsWith('inline', (string) $whole->headers->get('Content-Disposition'));
        Pass::query()->where('person_id', $this->person('ragna')->id)->update(['state' => 'revoked']);
        $this->get($address)->assertForbidden();
    }

    /** @return iterable<string, array{string, int, int}> what is asked for; where that begins, and how much it is at most */
    public static function parts(): iterable
    {
        yield 'the first' => ['bytes=0-99', 0, 100];
        yield 'some in the middle' => ['bytes=100-199', 100, 100];
        yield 'one' => ['bytes=7-7', 7, 1];
        yield 'from one on' => ['bytes=500-', 500, PHP_INT_MAX];
        yield 'the last' => ['bytes=-50', -50, 50];
        yield 'more than there are' => ['bytes=600-99999999', 600, PHP_INT_MAX];
    }

    #[DataProvider('parts')]
    public function test_a_part_of_a_film_is_that_part(string $asked, int $first, int $length): void
    {
        [$address, $bytes] = $this->film('ragna');
        $part = $this->get($address, ['Range' => $asked])->assertStatus(206);
        $expected = substr($bytes, $first, $length === PHP_INT_MAX ? null : $length);
        self::assertSame($expected, $part->streamedContent());
        $from = $first < 0 ? strlen($bytes) + $first : $first;
        $part->assertHeader('Content-Length', (string) strlen($expected))->assertHeader('Content-Range', "bytes {$from}-".($from + strlen($expected) - 1).'/'.strlen($bytes));
    }

    public function test_parts_that_are_not_there_or_of_another_file_are_not_sent(): void
    {
        [$address, $bytes] = $this->film('ragna');
        $this->get($address, ['Range' => 'bytes=99999999-'])->assertStatus(416)->assertHeader('Content-Range', 'bytes */'.strlen($bytes));
        foreach (['bytes=-', 'bytes=a-b', 'bytes=0-1,5-6', 'lines=1-2'] as $unreadable) {
            self::assertSame($bytes, $this->get($address, ['Range' => $unreadable])->assertOk()->streamedContent(), $unreadable);
        }
        $changed = (string) $this->get($address)->headers->get('Last-Modified');
        self::assertSame(206, $this->get($address, ['Range' => 'bytes=0-9', 'If-Range' => $changed])->getStatusCode());
        self::assertSame(200, $this->get($address, ['Range' => 'bytes=0-9', 'If-Range' => 'Thu, 01 Jan 1970 00:00:00 GMT'])->getStatusCode());
        Storage::delete(Medium::query()->where('item_key', 'l-steam')->pluck('path')->all());
        $this->get($address)->assertNotFound();
    }

    public function test_what_is_put_in_lies_there_and_is_gone_with_what_held_it(): void
    {
        $before = $this->store->paths();
        $this->actingAs($this->person('hege'))->postJson('/keep/pictures', ['file' => UploadedFile::fake()->image('boat.png', 600, 300), 'title' => 'A boat'])->assertCreated();
        $new = array_values(array_diff($this->store->paths(), $before));
        self::assertCount(2, $new);
        self::assertSame([], glob(SchoolFile::folder().'/files/media/pictures/*') ?: []);
        $this->get(route('share'))->assertOk()->assertHeader('Content-Type', 'image/png');
        self::assertNotSame('', $this->get(route('share'))->streamedContent());
    }

    public function test_a_file_of_people_is_read_from_there_and_leaves_no_copy(): void
    {
        $temporary = fn (): array => glob(sys_get_temp_dir().'/keep-'.getmypid().'-*') ?: [];
        $before = $temporary();
        $this->actingAs($this->person('hege'));
        $import = $this->read($this->upload($this->many(20)));
        self::assertSame('ready', $import->state, (string) $import->problem);
        $this->bringIn($import);
        self::assertSame(20, Person::query()->where('email', 'like', '%@many.test')->count());
        $this->app->forgetScopedInstances();
        gc_collect_cycles();
        self::assertSame([], array_diff($temporary(), $before));
    }

    public function test_a_backup_holds_what_lies_there_and_puts_it_back(): void
    {
        $poster = 'media/'.str_repeat('p', 26);
        Storage::put($poster, 'a poster');
        DB::table('media')->where('item_key', 'l-steam')->update(['poster' => $poster, 'poster_type' => 'image/png']);
        $media = Medium::query()->pluck('path')->all();
        $contents = array_map(Storage::get(...), [...$media, $poster]);
        $backup = SchoolFile::folder().'/'.bin2hex(random_bytes(6)).'.zip';
        self::assertSame(0, Artisan::call('keep:backup', ['file' => $backup]), Artisan::output());
        Storage::delete([...$media, $poster]);
        self::assertSame(0, Artisan::call('keep:restore', ['file' => $backup, '--replace' => true]), Artisan::output());
        self::assertSame($contents, array_map(Storage::get(...), [...$media, $poster]));
    }

    public function test_a_copy_is_made_once_and_is_none_of_what_is_not_there(): void
    {
        Storage::put('imports/one', 'a file');
        $copies = new LocalCopies;
        $path = $copies->path('imports/one');
        self::assertSame('a file', file_get_contents($path));
        Storage::put('imports/one', 'changed');
        self::assertSame($path, $copies->path('imports/one'));
        self::assertFileDoesNotExist($copies->path('imports/none'));
        unset($copies);
        self::assertFileDoesNotExist($path);
    }
}

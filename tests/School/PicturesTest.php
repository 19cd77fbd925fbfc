<?php

declare(strict_types=1);

namespace Tests\School;

use App\Models\Picture;
use App\School\Backup\BackUp;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\PreserveGlobalState;
use PHPUnit\Framework\Attributes\RunInSeparateProcess;
use Tests\TestCase;

/** Pictures for the public pages: drawn anew, in a few widths, with nothing else of what was uploaded. */
final class PicturesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::deleteDirectory('media/pictures');
        $this->actingAs($this->person('hege'));
    }

    private static function drawn(int $width, int $height, string $as = 'png'): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($image, 200, 40, 40));
        ob_start();
        $as === 'png' ? imagepng($image) : imagejpeg($image);

        return (string) ob_get_clean();
    }

    private static function file(string $bytes, string $name = 'boat.png'): UploadedFile
    {
        return UploadedFile::fake()->createWithContent($name, $bytes);
    }

    public function test_it_is_kept_in_the_widths_that_it_has_and_anybody_sees_it(): void
    {
        $told = $this->postJson('/keep/pictures', ['file' => self::file(self::drawn(1200, 600)), 'title' => ' The keel '])->assertCreated();
        $picture = Picture::query()->sole();
        self::assertSame([[480, 960, 1200], 1200, 600, 'The keel'], [$picture->widths, $picture->width, $picture->height, $picture->title]);
        $this->post('/sign-out');
        foreach (explode(', ', (string) (is_string($told->json('sources')) ? $told->json('sources') : '')) as $source) {
            [$address, $width] = explode(' ', $source);
            $answer = $this->get($address)->assertOk()->assertHeader('Content-Type', 'image/webp');
            self::assertStringContainsString('immutable', (string) $answer->headers->get('Cache-Control'));
            $size = getimagesizefromstring((string) file_get_contents(Storage::path(Picture::path($picture->token, (int) $width))));
            self::assertSame([(int) $width, IMAGETYPE_WEBP], [$size[0] ?? 0, $size[2] ?? 0]);
        }
        $this->get("/pictures/{$picture->token}/500")->assertNotFound();
        $this->get('/pictures/'.str_repeat('a', 24).'/480')->assertNotFound();
    }

    /** In a process of its own: no limit can be set below what a worker holds after some thousand tests. */
    #[RunInSeparateProcess]
    #[PreserveGlobalState(false)]
    public function test_room_is_made_for_it_where_there_is_less_and_none_is_taken_from_a_process_that_has_more(): void
    {
        $usual = (string) ini_get('memory_limit');
        try {
            foreach (['500M' => '640M', '2G' => '2G', '-1' => '-1'] as $before => $after) {
                ini_set('memory_limit', (string) $before);
                $this->postJson('/keep/pictures', ['file' => self::file(self::drawn(300, 200)), 'title' => 'Small'])->assertCreated();
                self::assertSame($after, ini_get('memory_limit'));
            }
        } finally {
            ini_set('memory_limit', $usual);
        }
    }

    public function test_a_small_one_is_not_made_wider(): void
    {
        $this->postJson('/keep/pictures', ['file' => self::file(self::drawn(300, 200)), 'title' => 'Small'])->assertCreated();
        self::assertSame([300], Picture::query()->sole()->widths);
    }

    public function test_what_a_camera_writes_into_the_file_is_not_kept_and_it_stands_upright(): void
    {
        // An orientation of 6 (held upright), and words that tell where it was.
        $exif = "Exif\0\0II*\0\x08\0\0\0\x02\0\x0E\x01\x02\0\x14\0\0\0\x26\0\0\0\x12\x01\x03\0\x01\0\0\0\x06\0\0\0\0\0\0\0at the secret quay.\0";
        $jpeg = self::drawn(400, 200, 'jpeg');
        $with = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
        self::assertStringContainsString('secret quay', $with);
        $this->postJson('/keep/pictures', ['file' => self::file($with, 'boat.jpg'), 'title' => 'Upright'])->assertCreated();
        $picture = Picture::query()->sole();
        self::assertSame([200, 400], [$picture->width, $picture->height]);
        self::assertStringNotContainsString('secret quay', (string) Storage::get($picture->paths()[0]));
    }

    /** @return array<string, array{string|\Closure(): string, string}> */
    public static function refused(): array
    {
        return [
            'no picture' => ['Just words.', 'file'],
            'a page' => ['<html><script>alert(1)</script></html>', 'file'],
            'one that can hold scripts' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'file'],
            'the beginning of one' => [static fn (): string => substr(self::drawn(400, 300), 0, 60), 'file'],
            'a head that says it is huge' => [static fn (): string => substr_replace(self::drawn(60, 60), pack('N2', 60_000, 60_000), 16, 8), 'file'],
            'hardly any' => [static fn (): string => self::drawn(10, 300), 'file'],
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_picture_is_refused_and_leaves_nothing(string|\Closure $bytes, string $field): void
    {
        $this->postJson('/keep/pictures', ['file' => self::file(is_string($bytes) ? $bytes : $bytes()), 'title' => 'X'])->assertUnprocessable()->assertJsonValidationErrors($field);
        self::assertSame(0, Picture::query()->count());
        self::assertSame([], Storage::files('media/pictures'));
    }

    public function test_it_needs_words_for_whoever_does_not_see_it(): void
    {
        $this->postJson('/keep/pictures', ['file' => self::file(self::drawn(100, 100)), 'title' => ' '])->assertUnprocessable()->assertJsonValidationErrors('title');
        $this->postJson('/keep/pictures', ['title' => 'X'])->assertUnprocessable()->assertJsonValidationErrors('file');
    }

    public function test_whoever_helps_people_puts_none_in(): void
    {
        $this->actingAs($this->person('aksel'))->postJson('/keep/pictures', ['file' => self::file(self::drawn(100, 100)), 'title' => 'X'])->assertForbidden();
        $this->getJson('/keep/pictures')->assertOk();
        $this->actingAs($this->person('eira'))->getJson('/keep/pictures')->assertNotFound();
    }

    public function test_they_are_in_the_backup(): void
    {
        $this->postJson('/keep/pictures', ['file' => self::file(self::drawn(100, 100)), 'title' => 'X'])->assertCreated();
        $file = storage_path('framework/testing/pictures-'.getmypid().'.zip');
        @mkdir(dirname($file), recursive: true);
        @unlink($file);
        $told = app(BackUp::class)($file);
        $zip = new \ZipArchive;
        $zip->open($file);
        self::assertNotFalse($zip->locateName('files/'.Picture::query()->sole()->paths()[0]));
        self::assertSame([], array_filter($told['missing'], static fn (string $path): bool => str_contains($path, 'pictures')));
        $zip->close();
        unlink($file);
    }
}

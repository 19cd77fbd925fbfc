<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Contents\Captions;
use App\Learning\Contents\Cue;
use App\Learning\Contents\NotCaptions;
use App\Models\Completion;
use App\Models\Medium;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is said in a film, to be read; and what stands there before it plays. */
final class CaptionsTest extends TestCase
{
    private const FILE = "WEBVTT\n\n1\n00:01.000 --> 00:04.500\n<v Hege>The plank is hot &amp; soft.</v>\n\n00:00:06.250 --> 00:00:09.000 line:0\nBend it now,\nnot later.\n";

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        Storage::fake('local');
    }

    public function test_a_file_is_read_cue_by_cue(): void
    {
        self::assertEquals([new Cue(1.0, 'The plank is hot & soft.'), new Cue(6.25, 'Bend it now, not later.')], Captions::of(self::FILE)->cues);
        // As other machines write lines, with a mark at the beginning.
        self::assertEquals(Captions::of(self::FILE)->cues, Captions::of("\u{FEFF}".str_replace("\n", "\r\n", self::FILE))->cues);
        self::assertEquals([new Cue(3600.5, 'Late.')], Captions::of("WEBVTT - of a film\n\nNOTE nothing\n\n01:00:00.500 --> 01:00:01.000\nLate.")->cues);
    }

    /** @return iterable<string, array{string, int}> the file, and the line at which it is none */
    public static function none(): iterable
    {
        yield 'another kind of file' => ["1\n00:00:01,000 --> 00:00:02,000\nx", 1];
        yield 'nothing' => ['', 1];
        yield 'a word that begins likewise' => ["WEBVTTX\n\n00:01.000 --> 00:02.000\nx", 1];
        yield 'no letters' => ["WEBVTT\n\n00:01.000 --> 00:02.000\n\xFF\xFE", 1];
        yield 'commas in its times' => ["WEBVTT\n\n00:01,000 --> 00:02,000\nx", 3];
        yield 'a minute of seventy seconds' => ["WEBVTT\n\n00:70.000 --> 01:20.000\nx", 3];
        yield 'an end before its beginning' => ["WEBVTT\n\n00:02.000 --> 00:01.000\nx", 3];
        yield 'an end at its beginning' => ["WEBVTT\n\n00:02.000 --> 00:02.000\nx", 3];
        yield 'back in time' => ["WEBVTT\n\n00:05.000 --> 00:06.000\nx\n\n00:01.000 --> 00:02.000\ny", 6];
        yield 'nothing said' => ["WEBVTT\n\n00:01.000 --> 00:02.000\n<i></i>\n", 5];
    }

    #[DataProvider('none')]
    public function test_what_is_none_is_refused_with_its_line(string $file, int $line): void
    {
        try {
            Captions::of($file);
            self::fail('It was taken.');
        } catch (NotCaptions $e) {
            self::assertSame($line, $e->at);
        }
    }

    private function film(): Medium
    {
        return Medium::query()->where('item_key', 'l-steam')->sole();
    }

    /**
     * @param  array<string, mixed>  $given
     * @return TestResponse<Response>
     */
    private function describe(array $given): TestResponse
    {
        return $this->actingAs($this->person('hege'))->post("/keep/courses/clinker/contents/l-steam/media/{$this->film()->id}", ['title' => 'A plank bends', ...$given]);
    }

    private static function vtt(string $text = self::FILE): UploadedFile
    {
        return UploadedFile::fake()->createWithContent('film.vtt', $text);
    }

    public function test_what_is_said_stands_beside_the_film_for_whom_it_is_open(): void
    {
        $this->describe(['title' => 'A hot plank bends', 'captions' => self::vtt(), 'language' => 'nb', 'poster' => UploadedFile::fake()->image('poster.png', 320, 180)])->assertSessionHas('flash.kind', 'done');
        $media = $this->actingAs($this->person('ragna'))->get('/courses/clinker/l-steam')->assertOk()->inertiaProps('media')[0];
        self::assertSame(['A hot plank bends', 'nb', ['The plank is hot & soft.', 'Bend it now, not later.']], [$media['title'], $media['language'], array_column($media['spoken'], 'words')]);
        self::assertSame(self::FILE, $this->get($media['captions'])->assertOk()->assertHeader('Content-Type', 'text/vtt; charset=utf-8')->getContent());
        $this->get($media['poster'])->assertOk()->assertHeader('Content-Type', 'image/png');

        // An address is its reader's alone, and only as long as the lesson is open to them.
        foreach ([$media['captions'], $media['poster']] as $address) {
            $this->actingAs($this->person('eira'))->get($address)->assertForbidden();
            $this->actingAs($this->person('ragna'))->get(str_replace('signature=', 'signature=0', $address))->assertForbidden();
        }
        Completion::query()->where('person_id', $this->person('ragna')->id)->where('item_key', 'l-timber')->delete();
        foreach ([$media['captions'], $media['poster']] as $address) {
            $this->actingAs($this->person('ragna'))->get($address)->assertForbidden();
        }
    }

    public function test_of_a_closed_lesson_nothing_that_is_said_is_sent(): void
    {
        $this->describe(['captions' => self::vtt()]);
        foreach (['eira', 'jonas'] as $who) {
            $page = (string) $this->actingAs($this->person($who))->get('/courses/clinker/l-steam')->getContent();
            self::assertStringNotContainsString('Bend it now', $page);
            self::assertStringNotContainsString('WEBVTT', $page);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no title' => [['title' => ' '], 'title'];
        yield 'captions that are none' => [['captions' => self::vtt("WEBVTT\n\n00:02.000 --> 00:01.000\nx")], 'captions'];
        yield 'a poster that is no picture' => [['poster' => UploadedFile::fake()->createWithContent('poster.png', 'words')], 'poster'];
        yield 'a language that we do not speak' => [['language' => 'xx'], 'language'];
    }

    /** @param  array<string, mixed>  $given */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_at_its_field(array $given, string $field): void
    {
        $kept = $this->film()->captions;
        $this->describe($given)->assertSessionHasErrors($field);
        self::assertSame(['A plank bends', $kept, null], [$this->film()->title, $this->film()->captions, $this->film()->poster]);
    }

    public function test_what_is_put_in_its_place_or_taken_away_leaves_no_file_behind(): void
    {
        $this->describe(['poster' => UploadedFile::fake()->image('one.png', 32, 18)]);
        $first = (string) $this->film()->poster;
        $this->describe(['poster' => UploadedFile::fake()->image('two.png', 32, 18), 'captions' => self::vtt()]);
        Storage::assertMissing($first);
        $second = (string) $this->film()->poster;
        Storage::assertExists($second);
        // Describing it anew leaves what is not given as it is.
        $this->describe(['title' => 'Again']);
        self::assertSame([$second, true], [$this->film()->poster, $this->film()->captions !== null]);
        $address = "/keep/courses/clinker/contents/l-steam/media/{$this->film()->id}";
        $this->delete("{$address}/poster")->assertSessionHas('flash.kind', 'done');
        $this->delete("{$address}/captions")->assertSessionHas('flash.kind', 'done');
        Storage::assertMissing($second);
        self::assertSame([null, null], [$this->film()->poster, $this->film()->captions]);
        $this->delete("{$address}/everything")->assertNotFound();
        $this->post('/keep/courses/clinker/contents/l-planes/media/'.$this->film()->id, ['title' => 'Elsewhere'])->assertNotFound();
        $this->describe(['poster' => UploadedFile::fake()->image('three.png', 32, 18)]);
        $third = (string) $this->film()->poster;
        $this->delete($address);
        Storage::assertMissing($third);
    }

    public function test_assistants_describe_nothing(): void
    {
        $address = "/keep/courses/clinker/contents/l-steam/media/{$this->film()->id}";
        $this->actingAs($this->person('aksel'))->post($address, ['title' => 'Mine'])->assertForbidden();
        $this->delete("{$address}/captions")->assertForbidden();
    }

    public function test_a_file_says_its_size_and_kind(): void
    {
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-welcome')->assertInertia(fn (Page $page) => $page->where('media.2.size', fn (string $size): bool => preg_match('/^TXT, \d/', $size) === 1));
    }
}

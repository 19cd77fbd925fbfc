<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Learning\Contents\KeepMedium;
use App\Learning\Contents\Written;
use App\Models\Content;
use App\Models\Draft;
use App\Models\Medium;
use Illuminate\Support\Facades\Storage;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** Copies of lessons hold what the lessons do, and go live with the draft they are made in. */
final class CopiedContentsTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
        $this->actingAs($this->person('hege'));
    }

    private function copy(string $item): void
    {
        $version = Draft::query()->where('course_id', $this->course('clinker')->id)->value('version');
        $this->outline(is_int($version) ? $version : 0, ['do' => 'duplicate', 'item' => $item])->assertSessionHasNoErrors();
    }

    private function content(string $item): ?Content
    {
        return Content::query()->where('course_id', $this->course('clinker')->id)->where('item_key', $item)->first();
    }

    private function publish(): void
    {
        $this->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version])->assertSessionHasNoErrors();
    }

    public function test_a_copy_is_drafted_with_all_that_the_lesson_holds(): void
    {
        $this->copy('m-tools');
        [$planes, $copy] = [$this->content('l-planes'), $this->content('l-planes-2')];
        self::assertNotNull($planes);
        self::assertNotSame('', $planes->text);
        self::assertSame([0, '', $planes->text, $planes->quiz], [$copy?->version, $copy?->text, $copy?->drafted['text'] ?? null, $copy?->drafted['quiz'] ?? null]);
        $media = static fn (string $item): array => Medium::query()->where('item_key', $item)->orderBy('position')->get(['title', 'path', 'captions', 'poster'])->toArray();
        self::assertNotSame([], $media('l-steam'));
        self::assertSame($media('l-steam'), $media('l-steam-2'));
        $rows = $this->get('/keep/courses/clinker/contents')->inertiaProps('items');
        self::assertIsArray($rows);
        $holds = array_column($rows, 'holds', 'key');
        self::assertSame([$holds['l-planes'], $holds['l-steam']], [$holds['l-planes-2'] ?? null, $holds['l-steam-2'] ?? null]);

        $this->publish();
        self::assertSame([1, $planes->text, null], [$this->content('l-planes-2')?->version, $this->content('l-planes-2')?->text, $this->content('l-planes-2')?->drafted]);
        self::assertSame($planes->version, $this->content('l-planes')?->version);
    }

    public function test_what_is_drafted_of_the_lesson_is_what_the_copy_begins_with(): void
    {
        $planes = $this->content('l-planes') ?? throw new \LogicException('It is written.');
        $planes->update(['drafted' => [...Written::of($planes)->columns(), 'text' => 'To come'], 'drafted_version' => 1]);
        $this->copy('l-planes');
        self::assertSame('To come', $this->content('l-planes-2')->drafted['text'] ?? null);
    }

    public function test_a_copy_that_was_undone_never_goes_live_and_made_again_holds_what_is_there_then(): void
    {
        $this->copy('l-steam');
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1])->assertSessionHasNoErrors();
        $this->outline(2, ['do' => 'rename', 'item' => 'l-planes', 'title' => 'Planes anew'])->assertSessionHasNoErrors();
        $this->publish();
        self::assertSame(0, $this->content('l-steam-2')?->version);

        $this->content('l-steam')?->update(['text' => 'Another']);
        $this->copy('l-steam');
        self::assertSame('Another', $this->content('l-steam-3')->drafted['text'] ?? null);
        self::assertSame(Medium::query()->where('item_key', 'l-steam')->count(), Medium::query()->where('item_key', 'l-steam-3')->count());
    }

    public function test_a_shared_file_goes_with_the_last_that_holds_it(): void
    {
        // A file of its own: those of the demo are there for all tests.
        Storage::put('media/of-its-own', 'x');
        Medium::query()->where('item_key', 'l-steam')->where('kind', 'video')->firstOrFail()->update(['path' => 'media/of-its-own', 'poster' => null]);
        $this->copy('l-steam');
        [$first, $second] = array_map(static fn (string $item): Medium => Medium::query()->where('item_key', $item)->where('kind', 'video')->firstOrFail(), ['l-steam', 'l-steam-2']);
        Storage::assertExists($first->path);
        app(KeepMedium::class)->takeOut($this->course('clinker'), 'l-steam', $first->id, $this->person('hege'));
        Storage::assertExists($second->path);
        app(KeepMedium::class)->takeOut($this->course('clinker'), 'l-steam-2', $second->id, $this->person('hege'));
        Storage::assertMissing($second->path);
    }
}

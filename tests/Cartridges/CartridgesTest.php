<?php

declare(strict_types=1);

namespace Tests\Cartridges;

use App\Models\Content;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Medium;
use App\School\Tokens\Ability;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Api\AsksTheInterface;
use Tests\TestCase;

/** Courses of Common Cartridges: what is taken, what is listed, and what is refused. */
final class CartridgesTest extends TestCase
{
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_the_outline_its_links_and_its_files_are_taken(): void
    {
        $this->bring(MakesCartridges::whole())->assertRedirect('/keep/courses/splicing-whipping')->assertSessionHas('flash.kind', 'done');

        self::assertSame([
            'rope module', '- what-rope-is-made-of lesson', '- splices module', '- - the-eye-splice lesson', '- - all-splices-on-one-sheet lesson', 'ask-the-rigger board',
            'do-you-know-your-knots lesson', 'the-knot-trainer lesson', 'a-film-that-is-not-there lesson', 'later module',
        ], self::outline($this->course('splicing-whipping')));
        self::assertSame('Splicing & whipping', CourseDocument::fromJson((string) $this->course('splicing-whipping')->draft?->document)->title());
        self::assertSame('<https://rigging.example/eye?a=1&b=2>', Content::query()->where('item_key', 'the-eye-splice')->firstOrFail()->text);
        self::assertSame("## Rope\n\nHemp, manila & more.\n\n- laid\n- braided\n\n&lt;b&gt;no tag&lt;/b&gt;", Content::query()->where('item_key', 'what-rope-is-made-of')->firstOrFail()->text);
        self::assertSame([['what-rope-is-made-of', 'image', 'rope.png'], ['all-splices-on-one-sheet', 'file', 'sheet.pdf']], Medium::query()->whereRelation('course', 'key', 'splicing-whipping')->orderBy('id')->get()->map(static fn (Medium $one): array => [$one->item_key, $one->kind, $one->name])->all());
        self::assertSame([], Storage::files('imports'), 'What was taken is not kept twice.');
        $this->get('/keep/courses/splicing-whipping')->assertOk();
        auth()->logout();
        $this->get('/courses/splicing-whipping')->assertNotFound();
    }

    public function test_what_cannot_be_taken_is_listed(): void
    {
        $this->bring(MakesCartridges::whole());
        $lines = array_map(static fn (array $line): string => implode('', array_column($line['segments'], 'text')), json_decode((string) json_encode(session('flash.lines')), true));

        self::assertEqualsCanonicalizing([
            'What a discussion begins with is not taken: Ask the rigger.', 'A quiz has to be made anew: Do you know your knots?.', 'A tool of another system is not taken: The knot trainer.', 'A file is not in it: A film that is not there.',
        ], $lines);
    }

    public function test_it_is_taken_by_the_interface_too(): void
    {
        $told = $this->body($this->send('POST', '/cartridges', MakesCartridges::whole(), $this->token([Ability::EditDrafts]), ['Content-Type' => 'application/zip'])->assertCreated());

        self::assertSame(['splicing-whipping', 'draft', true], [$told['course']['key'], $told['course']['state'], $told['course']['has_draft']]);
        self::assertCount(4, $told['left']);
        $this->send('POST', '/cartridges', 'nonsense', $this->token([Ability::EditDrafts]), ['Content-Type' => 'application/zip'])->assertStatus(422);
        $this->send('POST', '/cartridges', MakesCartridges::whole(), $this->token([Ability::EditDrafts]), ['Content-Type' => 'text/plain'])->assertStatus(415);
    }

    public function test_earlier_versions_and_none_are_read_alike(): void
    {
        foreach (['http://www.imsglobal.org/xsd/imscc/imscp_v1p1', 'http://www.imsglobal.org/xsd/imsccv1p1/imscp_v1p1', 'http://www.imsproject.org/xsd/imscp_rootv1p1p2'] as $namespace) {
            $this->bring(MakesCartridges::of('<item identifier="a"><title>One</title></item>', namespace: $namespace))->assertSessionHasNoErrors();
        }

        self::assertSame(['one module'], self::outline($this->course('splicing-whipping-3')));
    }

    public function test_the_same_titles_are_different_rows(): void
    {
        $this->bring(MakesCartridges::of(str_repeat('<item identifier="a"><title>Übung</title></item>', 3).'<item identifier="b"><title>***</title></item><item identifier="c"/>'))->assertSessionHasNoErrors();

        self::assertSame(['ubung module', 'ubung-2 module', 'ubung-3 module', 'item module', 'without-a-title module'], self::outline($this->course('splicing-whipping')));
    }

    public function test_taken_in_twice_it_is_there_once_and_what_was_written_meanwhile_stays(): void
    {
        $bytes = MakesCartridges::whole();
        $this->bring($bytes);
        $course = $this->course('splicing-whipping');
        Content::query()->where('item_key', 'the-eye-splice')->update(['text' => 'Written meanwhile.']);
        Storage::put('imports/again', $bytes);
        \App\Cartridges\TakeInContents::dispatchSync($course->id, 'imports/again', [
            ['item' => 'the-eye-splice', 'title' => 'The eye splice', 'link' => 'https://rigging.example/', 'files' => []], ['item' => 'all-splices-on-one-sheet', 'title' => 'All', 'link' => null, 'files' => ['files/sheet.pdf']],
        ], $this->person('hege')->id);

        self::assertSame('Written meanwhile.', Content::query()->where('item_key', 'the-eye-splice')->firstOrFail()->text);
        self::assertSame(1, Medium::query()->where('item_key', 'all-splices-on-one-sheet')->count());
    }

    /** @return iterable<string, array{\Closure(): string, string}> */
    public static function refused(): iterable
    {
        $one = '<item identifier="a"><title>One</title></item>';
        $manifest = MakesCartridges::manifest($one);
        $declared = static fn (string $declaration, string $title = '&a;'): string => str_replace('?>', "?>{$declaration}", MakesCartridges::manifest("<item identifier=\"a\"><title>{$title}</title></item>"));
        yield 'nothing but the beginning of a ZIP file' => [static fn (): string => "PK\x03\x04nonsense", 'no ZIP file'];
        yield 'a ZIP file cut off' => [static fn (): string => substr(MakesCartridges::whole(), 0, -200), 'no ZIP file'];
        yield 'no manifest' => [static fn (): string => MakesCartridges::zip(['a.txt' => 'a']), 'there is no imsmanifest.xml'];
        yield 'an empty manifest' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => '']), 'no XML'];
        yield 'a broken manifest' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => substr($manifest, 0, -30)]), 'no XML'];
        yield 'another document' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => '<html/>']), 'no manifest'];
        yield 'no outline' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => '<manifest><organizations/></manifest>']), 'no outline'];
        yield 'an empty outline' => [static fn (): string => MakesCartridges::of(''), 'no outline'];
        yield 'entities that expand' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $declared('<!DOCTYPE x [<!ENTITY b "bbbbbbbbbb"><!ENTITY a "&b;&b;&b;&b;&b;&b;&b;&b;">]>')]), 'declares'];
        yield 'an entity that reads a file' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $declared('<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]>')]), 'declares'];
        yield 'an entity that asks the network' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $declared('<!doctype x SYSTEM "https://elsewhere.example/x.dtd">', 'One')]), 'declares'];
        yield 'a declaration hidden in another encoding' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => "\xFE\xFF".mb_convert_encoding(str_replace('UTF-8', 'UTF-16', $declared('<!DOCTYPE x [<!ENTITY a "a">]>')), 'UTF-16BE', 'UTF-8')]), 'declares'];
        yield 'another encoding that is not read' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => str_replace('UTF-8', 'UTF-7', $manifest)]), 'declares'];
        yield 'an outline nested too deep' => [static fn (): string => MakesCartridges::of(str_repeat('<item identifier="a"><title>A</title>', 13).str_repeat('</item>', 13)), 'deeper than 12'];
        yield 'XML nested very deep' => [static fn (): string => MakesCartridges::of(str_repeat('<item>', 100_000).str_repeat('</item>', 100_000)), 'no XML'];
        yield 'a manifest that is huge' => [static fn (): string => MakesCartridges::of($one.str_repeat(' ', 9 * 1024 * 1024)), 'larger than 8 MiB'];
        yield 'an outline that is endless' => [static fn (): string => MakesCartridges::of(str_repeat($one, 5001)), 'more than 5,000 entries'];
        yield 'paths that climb out' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $manifest, '../../public/evil.php' => '<?php']), 'outside itself'];
        yield 'a path from the top' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $manifest, '/etc/cron.d/evil' => '']), 'outside itself'];
        yield 'a path with other strokes' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $manifest, 'a\\..\\..\\evil.php' => '']), 'outside itself'];
        yield 'a path with a drive' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $manifest, 'C:\\evil.php' => '']), 'outside itself'];
        yield 'a path that is encoded' => [static fn (): string => MakesCartridges::zip(['imsmanifest.xml' => $manifest, 'a/%2e%2e/%2e%2e/evil.php' => '']), 'outside itself'];
    }

    /** @param  \Closure(): string  $bytes */
    #[DataProvider('refused')]
    public function test_it_is_refused_and_nothing_is_left_of_it(\Closure $bytes, string $why): void
    {
        $courses = Course::query()->count();
        $memory = memory_get_usage();
        $this->bring($bytes())->assertSessionHasErrors('plan');

        self::assertStringContainsString($why, session('errors')->first('plan'));
        self::assertSame($courses, Course::query()->count());
        self::assertSame([], Storage::files('imports'));
        self::assertLessThan(64 * 1024 * 1024, memory_get_usage() - $memory);
    }

    public function test_what_a_lesson_names_outside_the_file_is_not_read(): void
    {
        $resources = '<resource identifier="r" type="webcontent" href="../../../../etc/passwd"><file href="/etc/passwd"/><file href="%2e%2e/%2e%2e/.env"/></resource><resource identifier="s" type="webcontent" xml:base="../.." href=".env"/>';
        $this->bring(MakesCartridges::of('<item identifier="a" identifierref="r"><title>One</title></item><item identifier="b" identifierref="s"><title>Two</title></item>', $resources))->assertSessionHasNoErrors();

        self::assertSame(0, Medium::query()->whereRelation('course', 'key', 'splicing-whipping')->count());
        self::assertSame(0, Content::query()->where('course_id', $this->course('splicing-whipping')->id)->count());
        self::assertCount(1, session('flash.lines'));
    }

    public function test_a_link_that_would_run_something_is_none(): void
    {
        foreach (['javascript:alert(1)', 'https://a.example/ onclick=x', 'data:text/html,x', 'https://a.example/"><script>'] as $href) {
            $this->bring(MakesCartridges::of('<item identifier="a" identifierref="r"><title>One</title></item>', '<resource identifier="r" type="imswl_xmlv1p3"><file href="l.xml"/></resource>', ['l.xml' => '<webLink><url href="'.htmlspecialchars($href, ENT_XML1 | ENT_COMPAT).'"/></webLink>']))->assertSessionHasNoErrors();
        }

        self::assertSame(0, Content::query()->where('item_key', 'one')->count());
    }

    public function test_a_link_whose_own_file_declares_entities_is_none(): void
    {
        $this->bring(MakesCartridges::of('<item identifier="a" identifierref="r"><title>One</title></item>', '<resource identifier="r" type="imswl_xmlv1p3"><file href="l.xml"/></resource>', ['l.xml' => '<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]><webLink><url href="https://a.example/&a;"/></webLink>']))->assertSessionHasNoErrors();

        self::assertSame(0, Content::query()->where('item_key', 'one')->count());
    }

    public function test_only_who_may_edit_puts_one_in(): void
    {
        $this->actingAs($this->person('aksel'));

        $this->bring(MakesCartridges::whole())->assertForbidden();
        self::assertSame([], Storage::files('imports'));
    }

    /** @return TestResponse<Response> */
    private function bring(string $bytes): TestResponse
    {
        return $this->post('/keep/courses/plan-file', ['plan' => UploadedFile::fake()->createWithContent('course.imscc', $bytes)]);
    }

    /** @return list<string> */
    private static function outline(Course $course): array
    {
        $told = [];
        foreach (CourseDocument::fromJson((string) $course->draft?->document)->read()->places() as $place) {
            $told[] = str_repeat('- ', $place->depth()).$place->item->key().' '.$place->item->kind();
        }

        return $told;
    }
}

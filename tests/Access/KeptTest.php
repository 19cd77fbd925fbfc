<?php

declare(strict_types=1);

namespace Tests\Access;

use App\Access\Kept;
use App\Access\LetKeptGo;
use App\Console\CleanUp;
use App\Models\Offer;
use App\Models\Pass;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\CompletionFactory;
use Tests\Factories\LabelFactory;
use Tests\SchoolFile;
use Tests\TestCase;

/** What is kept between requests is never another thing than what would be reckoned now. */
final class KeptTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_what_nobody_asks_for_any_more_goes_from_the_disk_once_it_is_over(): void
    {
        config(['cache.stores.file.path' => $folder = SchoolFile::folder().'/kept', 'cache.stores.file.lock_path' => $folder]);
        Cache::forgetDriver('file');
        $kept = Cache::store('file');
        $kept->put('texts', 'A lesson', 7 * 86400);
        $kept->forever('for good', 'A stamp');
        file_put_contents("{$folder}/.gitignore", "*\n");
        $files = static fn (): int => count(iterator_to_array(new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS))));
        self::assertSame([0, 3], [app(LetKeptGo::class)(), $files()]);
        Carbon::setTestNow(now()->addDays(7)->subSecond());
        self::assertSame(0, app(LetKeptGo::class)());
        Carbon::setTestNow(now()->addSecond());
        self::assertSame(1, app(CleanUp::class)()['what was kept of pages']);
        self::assertSame([2, 'A stamp'], [$files(), $kept->get('for good')]);
        config(['cache.stores.file.path' => "{$folder}/nowhere"]);
        self::assertSame(0, app(LetKeptGo::class)());
    }

    /** @return list<array{string, ?string}> */
    public static function pages(): array
    {
        return [['/', null], ['/courses', 'ragna'], ['/courses', 'sunniva'], ['/keep/courses', 'hege'], ['/courses/clinker', 'ragna'], ['/courses/clinker', null], ['/courses/clinker/l-welcome', 'sunniva']];
    }

    #[DataProvider('pages')]
    public function test_a_page_that_is_asked_for_again_reads_no_rules_and_says_the_same(string $path, ?string $who): void
    {
        $first = $this->propsOf($path, $who);
        $documents = 0;
        DB::listen(static function (QueryExecuted $query) use (&$documents): void {
            $documents += preg_match('/^select (\*|"document").* from "(revisions|drafts)"/', $query->sql);
        });
        $second = $this->propsOf($path, $who);
        self::assertSame(0, $documents);
        self::assertEquals($first, $second);
        $this->nothingIsKept();
        self::assertEquals($first, $this->propsOf($path, $who));
        self::assertGreaterThan(0, $documents);
    }

    public function test_another_version_of_the_core_keeps_nothing_of_the_one_before(): void
    {
        // What is kept goes by the folders' times, those of folders within folders too: a checkout writes them anew.
        $elsewhere = sys_get_temp_dir().'/kept-'.bin2hex(random_bytes(6));
        mkdir("{$elsewhere}/core/Compiled/Dates", recursive: true);
        $base = base_path();
        $code = static fn (): mixed => (new \ReflectionMethod(Kept::class, 'core'))->invoke(null);
        try {
            app()->setBasePath($elsewhere);
            $codes = [$code()];
            foreach (['core/Compiled', 'core/Compiled/Dates'] as $hours => $folder) {
                touch("{$elsewhere}/{$folder}", time() - ($hours + 1) * 3600);
                clearstatcache();
                $codes[] = $code();
            }
        } finally {
            app()->setBasePath($base);
            array_map(static fn (string $folder): bool => rmdir($elsewhere.$folder), ['/core/Compiled/Dates', '/core/Compiled', '/core', '']);
        }

        self::assertCount(3, array_unique($codes));
    }

    public function test_time_alone_makes_what_is_kept_another_thing(): void
    {
        // Her pass ends in half a year; a second before, it is still told of.
        $pass = Pass::query()->where('person_id', $this->person('sunniva')->id)->sole();
        $end = Carbon::parse($pass->ends_at);
        Carbon::setTestNow($end->copy()->subSecond());
        self::assertStringContainsString('to ', $this->detail('sunniva'));
        Carbon::setTestNow($end);
        self::assertSame('Your pass is not active', $this->detail('sunniva'));
        // And back, where the clock of a machine was put right.
        Carbon::setTestNow($end->copy()->subSecond());
        self::assertStringContainsString('to ', $this->detail('sunniva'));
    }

    public function test_what_somebody_does_shows_in_their_list_at_once(): void
    {
        $before = $this->finished('sunniva');
        $others = $this->finished('ragna');
        CompletionFactory::new()->of($this->person('sunniva'))->at($this->course(), 'l-welcome')->createOne();
        self::assertSame($before + 1, $this->finished('sunniva'));
        self::assertSame($others, $this->finished('ragna'));
    }

    public function test_an_offer_under_another_name_is_told_by_it_at_once(): void
    {
        self::assertStringContainsString('Apprentice pass', $this->detail('ragna'));
        Offer::query()->whereIn('id', Pass::query()->where('person_id', $this->person('ragna')->id)->select('offer_id'))->update(['name' => 'Under another name']);
        self::assertStringContainsString('Under another name', $this->detail('ragna'));
    }

    public function test_what_is_published_is_told_at_once(): void
    {
        $open = fn (): int => count(array_filter($this->propsOf('/courses/clinker', null)['course']['path'], static fn (array $row): bool => $row['open'] && $row['kind'] === 'lesson'));
        $changes = fn (): int => $this->propsOf('/keep/courses', 'hege')['courses'][0]['changes'];
        $samples = $open();
        self::assertSame(0, $changes());
        $this->edit(0, 'sample', ['l-steam'], ['value' => 'yes'])->assertSessionHasNoErrors();
        self::assertSame(1, $changes());
        self::assertSame($samples, $open());
        $this->actingAs($this->person('hege'))->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHasNoErrors();
        self::assertSame($samples + 1, $open());
        self::assertSame(0, $changes());
    }

    public function test_somebody_with_a_label_is_not_told_what_those_without_are(): void
    {
        $this->propsOf('/courses', 'jonas');
        LabelFactory::new()->of($this->person('jonas'))->createOne(['label' => 'oars']);
        $with = $this->propsOf('/courses', 'jonas');
        $this->nothingIsKept();
        self::assertEquals($this->propsOf('/courses', 'jonas'), $with);
    }

    /** @return array<string, mixed> */
    private function propsOf(string $path, ?string $who): array
    {
        $this->inAnotherProcess();
        $this->app['auth']->forgetGuards();
        $this->flushSession();
        $page = ($who === null ? $this : $this->actingAs($this->person($who)))->get($path)->assertOk()->viewData('page');
        assert(is_array($page) && is_array($page['props']));

        return (array) json_decode((string) json_encode(array_diff_key($page['props'], ['errors' => 1, 'flash' => 1])), true);
    }

    private function detail(string $who): string
    {
        return $this->propsOf('/courses', $who)['courses'][0]['detail'];
    }

    private function finished(string $who): int
    {
        return $this->propsOf('/courses', $who)['courses'][0]['finished'];
    }
}

<?php

declare(strict_types=1);

namespace Tests\People;

use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\Course;
use App\Models\ErasedPerson;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\PeopleFile;
use App\Models\PeopleFilePart;
use App\Models\Person;
use App\Pages\People\Lists\MakePeopleFile;
use App\Pages\People\Lists\PeopleFileMaker;
use App\Pages\People\Lists\PeopleFiles;
use App\Privacy\Erasing\ErasePerson;
use App\Privacy\Erasing\RemoveTraces;
use App\School\Tokens\Ability;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Tests\Api\AsksTheInterface;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** A file of more people than anybody waits for: made in the queue, part by part, for the one who asked. */
final class PeopleFileTest extends TestCase
{
    use ActsOnCrowds;
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_file_of_too_many_is_not_sent_at_once_and_it_is_said_how_it_is_had(): void
    {
        $this->crowd(2000);
        $this->get('/keep/people.csv?find=elsewhere&sort=newest')->assertOk();
        $this->get('/keep/people.csv?sort=newest')->assertRedirect('/keep/people?sort=newest')->assertSessionHas('flash.kind', 'refused');
        $told = $this->ask('GET', '/people.csv')->assertStatus(413)->json('detail');
        self::assertIsString($told);
        self::assertStringContainsString('/people/files', $told);
        $this->ask('GET', '/people.csv?find=elsewhere')->assertOk();
    }

    public function test_it_says_byte_for_byte_what_is_sent_at_once(): void
    {
        foreach (['', 'find=eira', 'holds=apprentice-pass&sort=ends', 'course=clinker&from=30', 'standing=samples', 'find=nobody-like-that'] as $query) {
            $this->post("/keep/people/files?{$query}")->assertRedirect();
            $file = PeopleFile::query()->orderByDesc('id')->firstOrFail();
            self::assertSame('ready', $file->state);
            $made = $this->get("/keep/people/files/{$file->id}.csv")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="people.csv"');
            self::assertSame($this->get("/keep/people.csv?{$query}")->assertOk()->streamedContent(), $made->streamedContent(), $query);
            self::assertSame((string) strlen($made->streamedContent()), $made->headers->get('Content-Length'));
        }
    }

    public function test_it_comes_in_the_form_that_whoever_asks_has_chosen(): void
    {
        $this->put('/keep/csv-form', ['form' => 'semicolon-marked']);
        $this->post('/keep/people/files?find=eira');
        $made = $this->get('/keep/people/files/'.PeopleFile::query()->sole()->id.'.csv');
        self::assertStringStartsWith("\u{FEFF}Name;E-mail;Role;Passes;Labels;Finished;\"Last here (Oslo time)\"\r\n", $made->streamedContent());
        self::assertSame((string) strlen($made->streamedContent()), $made->headers->get('Content-Length'));
    }

    public function test_of_several_parts_it_has_everybody_once_in_the_order_of_the_list(): void
    {
        $this->crowd(5100);
        $this->post('/keep/people/files?sort=newest');
        self::assertSame([2, ($file = PeopleFile::query()->sole())->of], [$file->parts()->count(), $file->made]);
        $addresses = array_map(static fn (string $line): string => (string) str_getcsv($line, escape: '')[1], array_slice(explode("\r\n", trim($this->get("/keep/people/files/{$file->id}.csv")->streamedContent())), 1));
        self::assertSame(Person::query()->orderByDesc('id')->pluck('email')->all(), $addresses);
    }

    /** Of many, course by course; of few, person by person: it is the same. */
    public function test_of_very_many_it_tells_the_progress_that_pages_tell(): void
    {
        $people = $this->crowd(230);
        $published = Offer::query()->where('key', '!=', 'apprentice-pass')->whereHas('course', static fn ($course) => $course->whereNotNull('live_revision_id'))->orderBy('id')->get();
        $neverPublished = Course::query()->create(['key' => 'never']);
        $offers = [...$published->all(), Offer::query()->create(['course_id' => $neverPublished->id, 'key' => 'never', 'name' => 'Never'])];
        $lessons = array_map(static fn ($course): array => app(CourseShelf::class)->lessons($course), Course::query()->whereNotNull('live_revision_id')->pluck('id', 'id')->all());
        foreach ($people as $n => $person) {
            $offer = $offers[$n % count($offers)];
            Pass::query()->create(['person_id' => $person, 'course_id' => $offer->course_id, 'offer_id' => $offer->id, 'starts_at' => '2026-03-01 09:00:00', 'state' => 'active', 'source' => 'by hand']);
            foreach ($lessons as $course => $keys) {
                foreach (array_slice($keys, 0, ($n + $course) % 4) as $key) {
                    DB::table('completions')->insert(['person_id' => $person, 'course_id' => $course, 'item_key' => $key, 'completed_at' => '2026-03-05 09:00:00']);
                }
            }
        }
        $told = [];
        foreach (range(1, 5) as $page) {
            $told = [...$told, ...array_column((array) $this->get("/keep/people?find=elsewhere&page={$page}")->inertiaProps('people'), 'progress', 'email')];
        }
        $lines = array_slice(explode("\r\n", trim($this->get('/keep/people.csv?find=elsewhere')->assertOk()->streamedContent())), 1);
        $cells = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), $lines);

        self::assertCount(230, $told);
        self::assertSame([true, $told], [count(array_unique($told)) > 8, array_column($cells, 5, 1)]);
    }

    public function test_asked_for_again_while_it_is_made_it_is_the_same(): void
    {
        Queue::fake();
        $this->post('/keep/people/files?find=e');
        $this->post('/keep/people/files?find=e');
        Queue::assertPushed(MakePeopleFile::class, 1);
        self::assertSame(1, PeopleFile::query()->count());
        $this->post('/keep/people/files?find=f');
        $this->actingAs($this->person('aksel'))->post('/keep/people/files?find=e');
        Queue::assertPushed(MakePeopleFile::class, 3);
        $this->ask('POST', '/people/files?find=e')->assertStatus(202);
        Queue::assertPushed(MakePeopleFile::class, 4);
        // Once it is there, it is made anew.
        $this->make(PeopleFile::query()->orderBy('id')->firstOrFail());
        $this->actingAs($this->person('hege'))->post('/keep/people/files?find=e');
        Queue::assertPushed(MakePeopleFile::class, 5);
    }

    public function test_the_page_says_how_far_it_is_and_where_it_is_to_be_had(): void
    {
        Queue::fake();
        $this->crowd(2100);
        $this->post('/keep/people/files?find=elsewhere')->assertRedirect('/keep/people?find=elsewhere');
        $told = fn (): array => array_map(static fn (array $one): array => [$one['query'], $one['state'], $one['made'], $one['of']], array_values((array) $this->get('/keep/people')->inertiaProps('files')));
        self::assertSame([['find=elsewhere', 'making', 0, 2100]], $told());
        $file = PeopleFile::query()->sole();
        $this->get("/keep/people/files/{$file->id}.csv")->assertNotFound();
        $this->make($file);
        self::assertSame([['find=elsewhere', 'ready', 2100, 2100]], $told());
        self::assertSame($this->get('/keep/people')->inertiaProps('files'), $this->getJson('/keep/people/files')->assertOk()->json());
        $this->delete("/keep/people/files/{$file->id}")->assertRedirect();
        self::assertSame([[], 0], [$told(), PeopleFilePart::query()->count()]);
    }

    public function test_nobody_else_gets_it_or_lets_it_go(): void
    {
        $this->post('/keep/people/files?find=eira');
        $file = PeopleFile::query()->sole();
        $this->actingAs($this->person('aksel'));
        $this->get("/keep/people/files/{$file->id}.csv")->assertNotFound();
        $this->delete("/keep/people/files/{$file->id}")->assertNotFound();
        self::assertSame([], $this->getJson('/keep/people/files')->json());
        $this->actingAs($this->person('eira'))->get("/keep/people/files/{$file->refresh()->id}.csv")->assertNotFound();
    }

    public function test_once_somebody_is_erased_no_file_has_them(): void
    {
        Queue::fake();
        $this->post('/keep/people/files?find=kaia');
        $this->post('/keep/people/files?find=eira');
        $this->make(PeopleFile::query()->where('query', 'find=kaia')->sole());
        $this->erase('kaia');

        // What was in them goes by the queue, as all other traces do.
        $this->app->call([new RemoveTraces(ErasedPerson::query()->sole()->id), 'handle']);
        self::assertSame(0, PeopleFilePart::query()->count());
        self::assertSame(['gone', 'gone'], array_column((array) $this->get('/keep/people')->inertiaProps('files'), 'state'));
        foreach (PeopleFile::query()->get() as $file) {
            $this->make($file);
            $this->get("/keep/people/files/{$file->id}.csv")->assertNotFound();
        }
        self::assertSame(['gone', 'gone'], PeopleFile::query()->pluck('state')->all());
    }

    public function test_who_is_erased_while_their_line_is_being_made_is_in_no_file(): void
    {
        Queue::fake();
        $this->post('/keep/people/files?find=kaia');
        $file = PeopleFile::query()->sole();
        $this->whenLinesAreRead(fn () => $this->erase('kaia'));
        $this->make($file);

        self::assertSame(['gone', 0, null], [$file->refresh()->state, $file->made, $file->parts()->sole()->lines]);
    }

    public function test_two_workers_at_one_part_make_it_once(): void
    {
        Queue::fake();
        $this->post('/keep/people/files?find=a');
        $file = PeopleFile::query()->sole();
        $this->whenLinesAreRead(static fn () => app(PeopleFileMaker::class)->makeSome($file->id));
        $this->make($file);

        self::assertSame(['ready', $file->of, strlen((string) $file->parts()->sole()->lines)], [$file->refresh()->state, $file->made, $file->bytes]);
    }

    public function test_another_worker_goes_on_where_one_stopped(): void
    {
        Queue::fake();
        $this->crowd(5100);
        $this->post('/keep/people/files?find=elsewhere');
        $file = PeopleFile::query()->sole();
        app(PeopleFileMaker::class)->makeSome($file->id);
        self::assertSame(['making', 5000], [$file->refresh()->state, $file->made]);
        $lines = $file->parts()->first()?->lines;
        $this->make($file);
        self::assertSame(['ready', 5100, $lines], [$file->refresh()->state, $file->made, $file->parts()->first()?->lines]);
    }

    public function test_one_that_cannot_be_made_says_so_and_can_be_asked_for_anew(): void
    {
        Queue::fake();
        $this->post('/keep/people/files?find=a');
        (new MakePeopleFile(PeopleFile::query()->sole()->id))->failed();
        $this->make(PeopleFile::query()->sole());
        self::assertSame([['failed', 0]], array_map(static fn (array $one): array => [$one['state'], $one['made']], (array) $this->get('/keep/people')->inertiaProps('files')));
        $this->post('/keep/people/files?find=a');
        self::assertSame('making', PeopleFile::query()->sole()->state);
    }

    public function test_of_each_who_asks_the_last_five_are_kept_for_a_day(): void
    {
        $this->actingAs($this->person('aksel'))->post('/keep/people/files?find=aksel');
        $this->actingAs($this->person('hege'));
        foreach (['a', 'b', 'c', 'd', 'e', 'f'] as $find) {
            $this->post("/keep/people/files?find={$find}");
        }
        $this->ask('POST', '/people/files?find=a')->assertStatus(202);
        self::assertSame(6, PeopleFile::query()->where('listed', true)->count());
        PeopleFile::query()->where('listed', false)->delete();
        self::assertSame(['find=aksel', 'find=b', 'find=c', 'find=d', 'find=e', 'find=f'], PeopleFile::query()->orderBy('id')->pluck('query')->all());
        $this->travel(23)->hours();
        Artisan::call('keep:clean-up');
        self::assertSame(6, PeopleFile::query()->count());
        $this->travel(2)->hours();
        Artisan::call('keep:clean-up');
        self::assertSame([0, 0], [PeopleFile::query()->count(), PeopleFilePart::query()->count()]);
    }

    public function test_one_that_is_let_go_of_while_it_is_sent_breaks_off(): void
    {
        $this->post('/keep/people/files?find=a');
        $file = PeopleFile::query()->sole();
        $content = app(PeopleFiles::class)->content($file);
        self::assertStringStartsWith('Name,', (string) $content->current());
        DB::listen(static function ($query) use ($file): void {
            if (str_contains($query->sql, 'select "id" from "people_file_parts"')) {
                PeopleFilePart::query()->where('file_id', $file->id)->delete();
            }
        });
        $this->expectException(RuntimeException::class);
        $content->next();
    }

    public function test_a_program_asks_and_comes_back_for_it(): void
    {
        Queue::fake();
        $asked = $this->ask('POST', '/people/files?holds=refit-crew')->assertStatus(202);
        $at = $asked->headers->get('Location');
        self::assertSame('/api/v1/people/files/'.Value::int($asked->json('id')), $at);
        $path = substr((string) $at, strlen('/api/v1'));
        $this->ask('GET', $path)->assertOk()->assertHeader('Retry-After', '2')->assertJson(['state' => 'making', 'made' => 0, 'of' => 2]);
        $this->ask('GET', "{$path}.csv")->assertStatus(409);
        $this->make(PeopleFile::query()->sole());
        $this->ask('GET', $path)->assertOk()->assertHeaderMissing('Retry-After')->assertJson(['state' => 'ready', 'made' => 2]);
        self::assertSame($this->ask('GET', '/people.csv?holds=refit-crew')->assertOk()->streamedContent(), $this->ask('GET', "{$path}.csv")->assertOk()->streamedContent());
        // It is no business of anybody else's, nor of the page.
        PersonFactory::new()->administrator()->called('Another', 'another@alder.test')->createOne();
        foreach ([$path, "{$path}.csv"] as $address) {
            $this->ask('GET', $address, token: $this->token(Ability::cases(), owner: 'another'))->assertNotFound();
        }
        self::assertSame([], $this->actingAs($this->person('hege'))->get('/keep/people')->inertiaProps('files'));
        $this->erase('eira');
        $this->ask('GET', $path)->assertOk()->assertJson(['state' => 'gone']);
        $this->ask('GET', "{$path}.csv")->assertStatus(409);
    }

    private function make(PeopleFile $file): void
    {
        (new MakePeopleFile($file->id))->handle(app(PeopleFileMaker::class));
    }

    private function erase(string $who): void
    {
        app(ErasePerson::class)($this->person($who), $this->person('hege'));
    }

    /** Does something once, when the lines of a part are being put together. */
    private function whenLinesAreRead(\Closure $do): void
    {
        $done = false;
        DB::listen(static function ($query) use (&$done, $do): void {
            if (! $done && str_contains($query->sql, 'from "labels"')) {
                $done = true;
                $do();
            }
        });
    }
}

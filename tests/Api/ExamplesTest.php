<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\SchoolAddress;
use App\Counting\CountTurn;
use App\Drafts\EditDraft;
use App\Drafts\Edits\SetCourse;
use App\Http\Api\Document\ApiDocument;
use App\Http\Api\Document\Examples;
use App\Ledger\Changes\WhatChanged;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Pages\People\Lists\MakePeopleFile;
use App\Pages\People\Lists\PeopleFileMaker;
use App\School\Tokens\Ability;
use App\Triggers\Outside\HttpSignature;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Cartridges\MakesCartridges;
use Tests\TestCase;

/**
 * Every example of the document is asked, and answered as it says. With `WRITE_EXAMPLES=1` the answers are written anew; then
 * `php artisan keep:types` puts them into the document.
 */
final class ExamplesTest extends TestCase
{
    use AsksTheInterface;

    /** Where the school of the examples is. */
    private const ROOT = 'https://keep.example';

    /** What is another each time. */
    private const VOLATILE = ['/"receipt": "[^"]*"/' => '"receipt": "1773144000.5f0c…"', '/DTSTAMP:\w+/' => 'DTSTAMP:20260310T120000Z'];

    /** @return iterable<string, array{string}> */
    public static function operations(): iterable
    {
        foreach (glob(__DIR__.'/../../resources/api/examples/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [basename($file, '.json')];
        }
    }

    public function test_every_operation_has_one(): void
    {
        $operations = array_map(ApiDocument::idOf(...), ApiDocument::routes(app(Router::class)));

        self::assertEqualsCanonicalizing($operations, array_column(iterator_to_array(self::operations()), 0));
    }

    #[DataProvider('operations')]
    public function test_it_is_answered_as_it_says(string $id): void
    {
        Queue::fake();
        $this->demoSchool(Examples::AT);
        config(['app.url' => self::ROOT]);
        $this->before($id);
        $route = self::route($id);
        $example = (new Examples)->of($id);
        $request = $example['request'] ?? [];
        $response = $this->asked($route, $request);
        $told = self::told($response);
        if (getenv('WRITE_EXAMPLES') === '1') {
            file_put_contents(Examples::file($id), json_encode(['request' => $request, 'answer' => $told], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
        }

        self::assertSame(ApiDocument::operationOf($route)->status, $told['status'], (string) json_encode($told));
        self::assertSame($example['answer'] ?? null, $told);
    }

    private static function route(string $id): Route
    {
        foreach (ApiDocument::routes(app(Router::class)) as $route) {
            if (ApiDocument::idOf($route) === $id) {
                return $route;
            }
        }
        self::fail("There is no operation {$id}.");
    }

    /**
     * @param  array<string, mixed>  $request
     * @return TestResponse<Response>
     */
    private function asked(Route $route, array $request): TestResponse
    {
        $path = '/'.substr($route->uri(), strlen('api/v1/'));
        foreach ($request['path'] ?? [] as $name => $value) {
            $path = str_replace("{{$name}}", (string) $value, $path);
        }
        $query = http_build_query($request['query'] ?? [], '', '&', PHP_QUERY_RFC3986);
        $body = $request['body'] ?? '';
        $text = is_string($body) ? $body : json_encode($body, JSON_THROW_ON_ERROR);
        // What is no text cannot stand in the document.
        $text = ApiDocument::idOf($route) === 'formats.cartridge' ? MakesCartridges::whole() : $text;
        $headers = $request['headers'] ?? [];
        if (ApiDocument::operationOf($route)->signed) {
            $headers += HttpSignature::headers(SchoolAddress::root()."/api/v1{$path}", $text, 'outside-1', OutsideSystem::query()->firstOrFail()->secret, (int) strtotime(Examples::AT));
        }

        return $this->send($route->methods()[0], $path.($query === '' ? '' : "?{$query}"), $text, $this->token(Ability::cases()), $headers);
    }

    /** @param  TestResponse<Response>  $response
     * @return array<string, mixed>
     */
    private static function told(TestResponse $response): array
    {
        $content = $response->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse ? $response->streamedContent() : (string) $response->getContent();
        $isJson = str_contains((string) $response->headers->get('Content-Type'), 'json');
        $text = $isJson && $content !== '' ? json_encode(json_decode($content), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE) : $content;
        $text = (string) preg_replace(array_keys(self::VOLATILE), array_values(self::VOLATILE), $text);

        return ['status' => $response->getStatusCode()] + ($text === '' ? [] : ['body' => $isJson ? json_decode($text, true, 512, JSON_THROW_ON_ERROR) : $text]);
    }

    /** What has to be there. */
    private function before(string $id): void
    {
        match ($id) {
            'courses.rehearse', 'courses.discard-draft', 'courses.publish' => app(EditDraft::class)($this->course('oars'), 0, self::newTitle(), $this->person('hege')),
            'courses.changes' => $this->counted(),
            'people.undo' => $this->ask('POST', '/people/acts', ['do' => 'label', 'people' => [3], 'label' => 'spring'])->assertCreated(),
            'progress.one' => $this->ask('POST', '/xapi/statements', (array) ((new Examples)->of('progress.take')['request']['body'] ?? []), headers: ['X-Experience-API-Version' => '1.0.3'])->assertOk(),
            'events.take' => OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/events', 'on' => true, 'secret' => str_repeat('s', 43)]),
            'events.list' => self::toldOutside('waiting'),
            'events.replay' => self::toldOutside('taken'),
            'formats.import-progress', 'formats.bring-in' => $this->imported(),
            'formats.take-back' => $this->broughtIn(),
            'formats.people-progress' => $this->fileAskedFor(),
            'formats.people-file' => (new MakePeopleFile($this->fileAskedFor()))->handle(app(PeopleFileMaker::class)),
            default => null,
        };
    }

    private static function newTitle(): SetCourse
    {
        return new SetCourse(['title' => 'Oars and sculls'], null);
    }

    private static function toldOutside(string $state): void
    {
        $system = OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/events', 'on' => true, 'secret' => str_repeat('s', 43)]);
        OutsideEvent::query()->create(['outside_system_id' => $system->id, 'event' => '6f1a52c0-75b8-4b0c-9d57-5f2f6cfd4d01', 'once' => 'an example', 'state' => $state, 'made_at' => Examples::AT, 'due_at' => null,
            'body' => json_encode(['specversion' => '1.0', 'id' => '6f1a52c0-75b8-4b0c-9d57-5f2f6cfd4d01', 'source' => SchoolAddress::root(), 'type' => 'silentkeep.finished', 'time' => Examples::AT], JSON_THROW_ON_ERROR)]);
    }

    /** What the queue counts. */
    private function counted(): void
    {
        $query = (new Examples)->of('courses.changes')['request']['query'] ?? [];
        $count = app(WhatChanged::class)->of($this->course('clinker'), (int) strtotime($query['from'] ?? ''), (int) strtotime($query['until'] ?? ''));
        while (app(CountTurn::class)->step($count->id, $count->stamp, app(WhatChanged::class))) {
        }
    }

    private function imported(): void
    {
        $this->send('POST', '/imports?offer=taster', "name,e-mail\r\nVigdis Holm,vigdis@alder.test\r\n", $this->token(Ability::cases()), ['Content-Type' => 'text/csv'])->assertStatus(202);
        app(\App\People\Import\ReadPeopleFile::class)->read(\App\Models\Import::query()->firstOrFail());
        self::assertNotSame([], Storage::files('imports'));
    }

    private function broughtIn(): void
    {
        $this->imported();
        app(\App\People\Import\ImportPeople::class)(\App\Models\Import::query()->firstOrFail());
        (new \App\People\Import\ContinueImport(1))->handle(app(\App\People\Import\ImportInParts::class));
    }

    private function fileAskedFor(): int
    {
        return (int) $this->ask('POST', '/people/files?holds=refit-crew')->assertStatus(202)->json('id');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\SchoolAddress;
use App\Models\Completion;
use App\Models\ProgressStatement;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** Requests as programs of others really sent them; see tests/files/README.md. */
final class RequestsOfOthersTest extends TestCase
{
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    /** @return array{method: string, path: string, headers: array<string, string>, body: string} */
    private static function request(string $name): array
    {
        $written = str_replace('http://school.test', SchoolAddress::root(), (string) file_get_contents(__DIR__."/../files/requests/{$name}.http"));
        [$head, $body] = explode("\n\n", $written, 2);
        $lines = explode("\n", $head);
        [$method, $path] = explode(' ', array_shift($lines));
        $headers = [];
        foreach ($lines as $line) {
            [$header, $value] = explode(': ', $line, 2);
            $headers[$header] = $value;
        }

        return ['method' => $method, 'path' => $path, 'headers' => $headers, 'body' => rtrim($body)];
    }

    /** @return iterable<string, array{string, int, list<string>, bool}> */
    public static function statements(): iterable
    {
        yield 'one, of a script in a page' => ['statement-of-a-script', 200, ['l-planes'], false];
        yield 'several, of a script in a page' => ['statements-of-a-script', 200, ['l-launch', 'l-timber'], false];
        yield 'one with its id, of a package of lessons' => ['statement-of-a-package', 204, ['l-planes'], true];
        yield 'several, of a package of lessons' => ['statements-of-a-package', 200, ['l-launch', 'l-timber'], true];
    }

    /** @param  list<string>  $finished */
    #[DataProvider('statements')]
    public function test_statements_count(string $name, int $status, array $finished, bool $hasId): void
    {
        Completion::query()->where('person_id', $this->person('eira')->id)->delete();
        $request = self::request($name);
        $send = fn (): int => $this->send($request['method'], substr($request['path'], strlen('/api/v1')), $request['body'], $this->tokens['all'] ??= $this->token(\App\School\Tokens\Ability::cases()), $request['headers'])->getStatusCode();

        self::assertSame($status, $send());
        self::assertSame($finished, Completion::query()->where('person_id', $this->person('eira')->id)->orderBy('item_key')->pluck('item_key')->all());

        // A program that had no answer sends it again.
        self::assertSame($status, $send());
        self::assertSame(count($finished), Completion::query()->where('person_id', $this->person('eira')->id)->count());
        self::assertSame(count($finished) * ($hasId ? 1 : 2), ProgressStatement::query()->count());
    }

    public function test_a_calendar_program_is_sent_a_calendar(): void
    {
        $this->actingAs($this->person('torvald'))->post('/calendar-link');
        $request = self::request('calendar-program');
        $this->post('/sign-out');
        $asked = fn (array $more = []): mixed => $this->get(str_replace('TOKEN', (string) $this->person('torvald')->calendar_token, $request['path']), [...$request['headers'], ...$more]);

        $answer = $asked()->assertOk();
        self::assertSame('gzip', $answer->headers->get('Content-Encoding'));
        self::assertStringStartsWith('text/calendar', (string) $answer->headers->get('Content-Type'));
        self::assertInstanceOf(VCalendar::class, Reader::read((string) gzdecode((string) $answer->getContent())));
        self::assertSame('', (string) $asked(['If-None-Match' => (string) $answer->headers->get('ETag')])->assertStatus(304)->getContent());
    }
}

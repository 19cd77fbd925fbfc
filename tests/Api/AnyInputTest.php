<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Access\SchoolAddress;
use App\Http\Api\Reading\Schemas;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\School\Tokens\Ability;
use App\Triggers\Outside\HttpSignature;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Five thousand inputs drawn from the document: whatever is sent, nothing breaks, and every answer is one that is described. */
#[Group('long')]
final class AnyInputTest extends TestCase
{
    use AsksTheInterface;

    private const BATCHES = 20;

    private const EACH = 250;

    /** @return iterable<string, array{int}> */
    public static function batches(): iterable
    {
        for ($batch = 0; $batch < self::BATCHES; $batch++) {
            yield "batch {$batch}" => [$batch];
        }
    }

    #[DataProvider('batches')]
    public function test_nothing_breaks(int $batch): void
    {
        $this->demoSchool();
        $this->withoutMiddleware(ThrottleRequests::class);
        Queue::fake();
        config(['app.url' => 'https://keep.example']);
        $document = (array) json_decode((string) file_get_contents(Schemas::file()), true);
        $drawn = new Drawn($document, 4000 + $batch);
        $token = $this->token(Ability::cases());
        $system = OutsideSystem::query()->create(['name' => 'Regatta', 'address' => 'https://regatta.example/', 'on' => true, 'secret' => str_repeat('s', 43)]);
        OutsideEvent::query()->create(['outside_system_id' => $system->id, 'event' => '6f1a52c0-75b8-4b0c-9d57-5f2f6cfd4d01', 'once' => 'one', 'state' => 'failed', 'made_at' => '2026-03-10T12:00:00Z', 'body' => '{"specversion":"1.0"}']);
        $operations = [];
        foreach ($document['paths'] as $path => $methods) {
            foreach ($methods as $method => $operation) {
                $operations[] = [$path, $method, $operation];
            }
        }
        $statuses = [];
        for ($asked = 0; $asked < self::EACH; $asked++) {
            [$path, $method, $operation] = $operations[($batch * self::EACH + $asked) % count($operations)];
            $statuses[$this->draw($drawn, $path, $method, $operation, $token, $system)] = true;
        }

        self::assertGreaterThan(3, count($statuses));
    }

    /** @param  array<string, mixed>  $operation */
    private function draw(Drawn $drawn, string $path, string $method, array $operation, string $token, OutsideSystem $system): int
    {
        /** @var array<string, string> $headers */
        $headers = [];
        $query = [];
        foreach ($operation['parameters'] as $parameter) {
            $value = $drawn->chance(75) && isset($parameter['example']) ? $parameter['example'] : $drawn->value($parameter['schema']);
            $text = is_scalar($value) ? (is_bool($value) ? ($value ? 'true' : 'false') : (string) $value) : '';
            match ($parameter['in']) {
                'path' => $path = str_replace("{{$parameter['name']}}", rawurlencode($text === '' ? 'x' : $text), $path),
                'header' => $headers[$parameter['name']] = $drawn->chance(80) ? ['If-Match' => '"'.$drawn->number(2).'"', 'X-Experience-API-Version' => '1.0.3'][$parameter['name']] ?? 'key-'.$drawn->number(99999) : (string) preg_replace('/[^\x20-\x7e]/', '', $text),
                default => $drawn->chance($parameter['required'] ? 95 : 40) ? $query[$parameter['name']] = $text : null,
            };
        }
        $content = $operation['requestBody']['content'] ?? [];
        $type = (string) array_key_first($content);
        $body = '';
        if ($type !== '') {
            $given = $content[$type]['example'] ?? null;
            $value = $given !== null && $drawn->chance(50) ? $drawn->bent($given) : $drawn->value($content[$type]['schema']);
            $body = $drawn->chance(3) ? '{"a":' : (is_string($value) ? $value : (string) json_encode($value, JSON_INVALID_UTF8_SUBSTITUTE));
            $headers['Content-Type'] = $drawn->chance(97) ? $type : 'text/plain';
        }
        if (isset($operation['security'][0]['signature'])) {
            $headers = [...$headers, ...HttpSignature::headers(SchoolAddress::root()."/api/v1{$path}", $body, "outside-{$system->id}", $system->secret, (int) strtotime('2026-03-10T12:00:00Z'))];
        }

        return $this->send(strtoupper($method), $path.($query === [] ? '' : '?'.http_build_query($query, '', '&', PHP_QUERY_RFC3986)), $body, $token, $headers)->getStatusCode();
    }
}

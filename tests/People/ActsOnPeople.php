<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Pass;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** For tests that do something to people over HTTP. */
trait ActsOnPeople
{
    /**
     * @param  list<string>  $names
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    protected function act(string $do, array $names, array $more = []): TestResponse
    {
        return $this->post('/keep/people/acts', ['do' => $do, 'people' => array_map(fn (string $name): int => $this->person($name)->id, $names), ...$more]);
    }

    /**
     * @param  list<string>  $names
     * @param  array<string, mixed>  $more
     * @return array<string, int> how many by outcome
     */
    protected function previewed(string $do, array $names, array $more = []): array
    {
        $told = $this->postJson('/keep/people/preview', ['do' => $do, 'people' => array_map(fn (string $name): int => $this->person($name)->id, $names), ...$more])->assertOk();

        return array_column((array) $told->json('outcomes'), 'count', 'words');
    }

    protected function pass(string $name): Pass
    {
        return Pass::query()->where('person_id', $this->person($name)->id)->orderByDesc('id')->firstOrFail();
    }

    protected static function at(?\DateTimeImmutable $instant): ?string
    {
        return $instant?->setTimezone(new \DateTimeZone('Europe/Oslo'))->format('Y-m-d H:i');
    }
}

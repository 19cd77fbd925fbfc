<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Person;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Factories\PersonFactory;

/** For tests that edit the draft of a course of the demo school over HTTP. */
trait EditsDrafts
{
    protected string $edited = 'clinker';

    /**
     * @param  list<string>  $items
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    protected function edit(int $version, string $set, array $items, array $more): TestResponse
    {
        return $this->post("/keep/courses/{$this->edited}/draft/edits", ['version' => $version, 'set' => $set, 'items' => $items, ...$more]);
    }

    /** @return TestResponse<Response> */
    protected function openAfter(int $version, string $item, int $days): TestResponse
    {
        return $this->edit($version, 'opens', [$item], ['plan' => 'weekly', 'rule' => 'after_start', 'days' => $days]);
    }

    /**
     * @param  array<string, mixed>  $act
     * @return TestResponse<Response>
     */
    protected function plans(int $version, array $act): TestResponse
    {
        return $this->post("/keep/courses/{$this->edited}/draft/plans", ['version' => $version, ...$act]);
    }

    /**
     * @param  array<string, mixed>  $act
     * @return TestResponse<Response>
     */
    protected function outline(int $version, array $act): TestResponse
    {
        return $this->post("/keep/courses/{$this->edited}/draft/outline", ['version' => $version, ...$act]);
    }

    protected function draft(): Draft
    {
        return Draft::query()->where('course_id', $this->course($this->edited)->id)->firstOrFail();
    }

    protected function document(): CourseDocument
    {
        return CourseDocument::fromJson($this->draft()->document);
    }

    protected function item(string $key): \stdClass
    {
        return $this->document()->editItem($key)?->read()->raw() ?? self::fail("no item {$key}");
    }

    protected function secondAdministrator(): Person
    {
        return PersonFactory::new()->called('Ingrid Vik', 'ingrid@alder.test')->administrator()->createOne();
    }

    /** What the last action told, in plain text. */
    protected static function told(string $lines = 'lines'): string
    {
        $flash = session('flash');

        return implode('; ', array_map(strval(...), is_array($flash) && is_array($flash[$lines] ?? null) ? $flash[$lines] : []));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Course;
use App\Models\Draft;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Symfony\Component\HttpFoundation\Response;

/** Rehearsals of a draft, and edits to rehearse. */
trait Rehearses
{
    /**
     * @param  list<array{title: string, effects: list<array{effect: string, names: list<string>}>}>  $rows
     * @return list<string>
     */
    protected static function names(array $rows, string $title, string $effect): array
    {
        $effects = array_column($rows, 'effects', 'title')[$title] ?? [];

        return array_column($effects, 'names', 'effect')[$effect] ?? [];
    }

    /** @return list<array<string, mixed>> as keep:impact takes them */
    protected function holders(Course $course): array
    {
        $people = [];
        foreach (Person::query()->whereIn('id', Pass::query()->where('course_id', $course->id)->select('person_id'))->with('labels')->get() as $person) {
            $people[] = ['id' => (string) $person->id, 'viewer' => [
                'signed_in' => true,
                'labels' => $person->labels->pluck('label')->all(),
                'passes' => Pass::query()->with('offer')->where('person_id', $person->id)->where('course_id', $course->id)->orderBy('id')->get()->map(static fn (Pass $pass): array => [
                    'offer' => $pass->offer->key, 'from' => $pass->starts_at->format(DATE_RFC3339), 'until' => $pass->ends_at?->format(DATE_RFC3339),
                    'state' => $pass->state, 'paced_from' => $pass->paced_from?->format(DATE_RFC3339),
                ])->values()->all(),
                'done' => DB::table('completions')->where('person_id', $person->id)->where('course_id', $course->id)->get()
                    ->map(static fn (object $row): array => ['item' => $row->item_key, 'at' => str_replace(' ', 'T', $row->completed_at).'Z'])->all(),
            ]];
        }

        return $people;
    }

    /**
     * @param  list<string>  $items
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    protected function edit(int $version, string $set, array $items, array $more): TestResponse
    {
        return $this->post('/keep/courses/clinker/draft/edits', ['version' => $version, 'set' => $set, 'items' => $items, ...$more]);
    }

    /** @return array<string, mixed> */
    protected function rehearsal(string $query = ''): array
    {
        $this->app->forgetScopedInstances();
        $props = [];
        $this->get('/keep/courses/clinker/rehearsal'.$query)->assertOk()->assertInertia(function (Page $page) use (&$props): void {
            $props = $page->component('keep/Rehearsal')->toArray()['props'];
        });

        return $props;
    }
}

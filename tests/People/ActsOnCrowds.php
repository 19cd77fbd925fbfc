<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\ActRecord;
use App\Models\Pass;
use App\Models\Person;
use App\People\Staged\StagedActs;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Acts on more people than are looked at at once. */
trait ActsOnCrowds
{
    /**
     * @param  array<string, mixed>  $form
     * @return TestResponse<Response>
     */
    protected function doIt(array $form): TestResponse
    {
        $answer = $this->post('/keep/people/acts', [...$form, 'people' => $this->crowdIds()])->assertSessionHasNoErrors();
        $act = ActRecord::query()->sole();

        return $act->state === 'prepared' ? $this->post("/keep/people/acts/{$act->id}") : $answer;
    }

    /**
     * @param  array<string, mixed>  $form
     * @param  list<int>  $ids
     */
    protected function prepared(array $form, array $ids): ActRecord
    {
        $staged = app(StagedActs::class);
        $record = $staged->begin(app(\App\People\Acts\PeopleActs::class)->of($form, $this->person('hege')), $form, $ids, $this->person('hege'), null);
        while ($record->state === 'preparing') {
            $staged->prepareSome($record);
        }

        return $record;
    }

    /** @return list<int> people who hold an apprentice pass to the first of June */
    protected function crowd(int $people): array
    {
        $like = Pass::query()->whereRelation('offer', 'key', 'apprentice-pass')->firstOrFail();
        foreach (array_chunk(range(1, $people), 500) as $some) {
            Person::query()->insert(array_map(static fn (int $n): array => ['name' => "Crew {$n}", 'email' => "crew{$n}@elsewhere.test"], $some));
        }
        foreach (array_chunk($this->crowdIds(), 500) as $some) {
            Pass::query()->insert(array_map(static fn (int $id): array => ['person_id' => $id, 'course_id' => $like->course_id, 'offer_id' => $like->offer_id, 'starts_at' => '2026-03-01 09:00:00', 'ends_at' => '2026-06-01 09:00:00', 'state' => 'active'], $some));
        }

        return $this->crowdIds();
    }

    /** @return list<int> */
    protected function crowdIds(): array
    {
        return array_values(Person::query()->where('email', 'like', 'crew%')->orderBy('id')->get()->map(static fn (Person $person): int => $person->id)->all());
    }

    /** @return array<string, array<int, array<string, mixed>>> all that acts may change */
    protected function rows(bool $numbered = true): array
    {
        $rows = [];
        foreach (['passes' => 'person_id', 'labels' => 'person_id', 'grants' => 'person_id', 'observer_ties' => 'learner_id'] as $table => $owner) {
            $rows[$table] = DB::table($table)->orderBy($owner)->orderBy('id')->get()->map(static fn (\stdClass $row): array => array_diff_key(get_object_vars($row), $numbered ? [] : ['id' => true]))->values()->all();
        }

        return $rows;
    }
}

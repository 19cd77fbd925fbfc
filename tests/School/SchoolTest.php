<?php

declare(strict_types=1);

namespace Tests\School;

use App\Models\Activity;
use App\Models\School;
use Tests\TestCase;

final class SchoolTest extends TestCase
{
    private const FORM = ['name' => 'Alder & Tide', 'currency' => 'NOK', 'guests' => false, 'contactName' => 'Hege', 'contactEmail' => 'hege@alder.test', 'warnDays' => 5, 'graceDays' => 30];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_what_holds_for_all_courses_is_set_in_one_place(): void
    {
        $this->put('/keep/school', self::FORM)->assertSessionHasNoErrors();
        $school = School::query()->sole();
        self::assertSame([false, 5, 30, 'Europe/Oslo'], [$school->guests, $school->warn_days, $school->grace_days, $school->zone]);
        $this->getJson('/keep/courses/clinker/why?item=l-open-day&v[]=guest')->assertJsonPath('blind', null)->assertJsonPath('why', ['guests_shut']);
    }

    public function test_nonsense_is_refused_and_assistants_change_nothing(): void
    {
        $this->put('/keep/school', [...self::FORM, 'name' => '', 'contactEmail' => 'x', 'warnDays' => -1, 'graceDays' => 99999])->assertSessionHasErrors(['name', 'contactEmail', 'warnDays', 'graceDays']);
        $this->actingAs($this->person('aksel'))->get('/keep/school')->assertOk();
        $this->put('/keep/school', self::FORM)->assertForbidden();
        self::assertSame(7, School::query()->sole()->grace_days);
    }

    public function test_a_change_is_in_the_log_with_what_was_before_and_saving_the_same_again_is_none(): void
    {
        $this->put('/keep/school', self::FORM);
        $this->inAnotherProcess();
        $this->put('/keep/school', self::FORM)->assertSessionHasNoErrors();
        $line = Activity::query()->where('action', 'school.changed')->sole();
        self::assertSame([$this->person('hege')->id, 7, 30], [$line->actor_id, $line->before['grace_days'] ?? null, $line->after['grace_days'] ?? null]);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Drafts;

use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

final class ReleasePlansTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_plan_is_made_copied_renamed_and_deleted(): void
    {
        $this->plans(0, ['do' => 'make', 'name' => 'daily']);
        $this->plans(1, ['do' => 'make', 'name' => 'weekly for yards', 'like' => 'weekly']);
        self::assertSame(['weekly', 'all-held', 'daily', 'weekly for yards'], $this->names());
        self::assertEquals($this->document()->raw()->plans->weekly, $this->document()->raw()->plans->{'weekly for yards'});

        $this->plans(2, ['do' => 'rename', 'name' => 'daily', 'to' => 'every day']);
        self::assertSame(['weekly', 'all-held', 'every day', 'weekly for yards'], $this->names());
        $this->plans(3, ['do' => 'delete', 'name' => 'every day']);
        self::assertSame(['weekly', 'all-held', 'weekly for yards'], $this->names());
        $this->get('/keep/courses/clinker?plan=weekly for yards')->assertInertia(fn (Page $page) => $page->where('plan', 'weekly for yards')->where('mainPlan', 'weekly'));
    }

    public function test_another_name_goes_wherever_the_plan_is_used(): void
    {
        $this->plans(0, ['do' => 'rename', 'name' => 'weekly', 'to' => 'week by week']);

        self::assertSame('week by week', $this->document()->raw()->main_plan);
        self::assertSame(['apprentice-pass' => 'week by week', 'journeyman-pass' => 'week by week'], array_filter($this->paces(), static fn (?string $plan): bool => $plan === 'week by week'));
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->has('changes', 1)
            ->where('changes.0.segments', [['text' => 'The release plan ', 'title' => false], ['text' => 'weekly', 'title' => true], ['text' => ' is called ', 'title' => false], ['text' => 'week by week', 'title' => true]]));
    }

    public function test_a_plan_that_goes_leaves_nobody_without_one_unsaid(): void
    {
        $this->plans(0, ['do' => 'delete', 'name' => 'weekly', 'instead' => 'all-held']);

        self::assertSame('all-held', $this->document()->raw()->main_plan);
        self::assertSame('all-held', $this->paces()['apprentice-pass']);
        $this->plans(1, ['do' => 'delete', 'name' => 'all-held']);
        self::assertNull($this->document()->read()->mainPlan());
        self::assertNull($this->paces()['apprentice-pass']);
    }

    public function test_the_first_plan_of_a_course_is_its_main_one(): void
    {
        $this->edited = 'oars';
        $this->plans(0, ['do' => 'make', 'name' => 'slow']);
        $this->plans(1, ['do' => 'make', 'name' => 'quick']);

        self::assertSame('slow', $this->document()->raw()->main_plan);
    }

    public function test_who_is_paced_by_which(): void
    {
        $this->plans(0, ['do' => 'pace', 'offer' => 'yard-trial', 'plan' => 'weekly']);
        $this->plans(1, ['do' => 'pace', 'offer' => 'apprentice-pass', 'plan' => null]);
        $this->plans(2, ['do' => 'pace', 'offer' => null, 'plan' => 'all-held']);

        self::assertSame(['weekly', null], [$this->paces()['yard-trial'], $this->paces()['apprentice-pass']]);
        self::assertSame('all-held', $this->document()->raw()->main_plan);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->has('changes', 3));
    }

    public function test_names_are_refused_at_the_field(): void
    {
        $this->plans(0, ['do' => 'make', 'name' => ''])->assertSessionHasErrors(['name' => 'A release plan needs a name.']);
        $this->plans(0, ['do' => 'make', 'name' => 'Weekly'])->assertSessionHasErrors(['name' => 'This course has a release plan weekly already.']);
        $this->plans(0, ['do' => 'rename', 'name' => 'weekly', 'to' => 'all-held'])->assertSessionHasErrors('name');
        $this->plans(0, ['do' => 'make', 'name' => str_repeat('x', 61)])->assertSessionHasErrors('name');
    }

    public function test_what_is_not_there_is_refused(): void
    {
        foreach ([['do' => 'rename', 'name' => 'gone', 'to' => 'x'], ['do' => 'delete', 'name' => 'gone'], ['do' => 'make', 'name' => 'x', 'like' => 'gone'],
            ['do' => 'pace', 'offer' => 'gone', 'plan' => 'weekly'], ['do' => 'pace', 'offer' => 'yard-trial', 'plan' => 'gone'], ['do' => 'delete', 'name' => 'weekly', 'instead' => 'weekly']] as $act) {
            $this->plans(0, $act);
            self::assertSame('refused', session('flash')['kind'], json_encode($act) ?: '');
        }
        $this->plans(0, ['do' => 'burn', 'name' => 'weekly'])->assertSessionHasErrors('do');
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_map(strval(...), array_keys(get_object_vars($this->document()->raw()->plans)));
    }

    /** @return array<string, ?string> */
    private function paces(): array
    {
        $paces = [];
        foreach ($this->document()->readOffers() as $offer) {
            $paces[$offer->key()] = $offer->plan();
        }

        return $paces;
    }
}

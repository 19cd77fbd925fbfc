<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\Form;
use App\Models\FormAnswer;
use App\Models\Grant;
use App\Models\Message;
use App\Models\Person;
use App\Models\TriggerRun;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Small public forms: who sends one reads the same, whether they are known or not, and gets what a trigger gives. */
final class FormsTest extends TestCase
{
    use SetsTriggersOff;

    private function form(): Form
    {
        $this->actingAs($this->person('hege'))->post('/keep/triggers/forms', ['name' => 'A first look', 'on' => true, 'text' => 'One lesson, *free*.', 'consent' => 'You may write to me.', 'questions' => [['ask' => 'Which boat?', 'required' => true], ['ask' => 'Anything else?', 'required' => false]], 'thanks' => 'Look into your mail.'])->assertSessionHasNoErrors();
        auth()->logout();
        $this->flushSession();

        return Form::query()->sole();
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function send(Form $form, array $with = []): TestResponse
    {
        return $this->post("/forms/{$form->token}", ['name' => 'Alva Brekke', 'email' => 'Alva@Elsewhere.test', 'consents' => true, 'website' => '', 'answers' => ['A faering', ''], 'once' => (string) Str::uuid(), ...$with]);
    }

    public function test_its_page_asks_and_tells_the_same_to_everybody_once_it_is_sent(): void
    {
        $form = $this->form();
        $this->get("/forms/{$form->token}")->assertOk()->assertInertia(fn ($page) => $page->component('learner/Form')->where('html', "<p>One lesson, <em>free</em>.</p>\n")->where('asksWho', true)->where('sent', false)->has('questions', 2));
        $pages = [];
        foreach (['alva@elsewhere.test', 'eira@alder.test'] as $email) {
            $this->send($form, ['email' => $email])->assertRedirect("/forms/{$form->token}")->assertSessionHasNoErrors();
            $pages[] = array_diff_key((array) $this->get("/forms/{$form->token}")->inertiaProps(), ['once' => 0]);
            $this->flushSession();
        }
        self::assertEquals($pages[0], $pages[1]);
        self::assertTrue($pages[0]['sent']);
    }

    public function test_a_known_address_keeps_its_account_and_a_new_one_gets_a_letter_to_sign_in(): void
    {
        $form = $this->form();
        $people = Person::query()->count();
        $this->send($form, ['email' => 'EIRA@alder.test']);
        self::assertSame([$this->person('eira')->id, $people, 0], [FormAnswer::query()->sole()->person_id, Person::query()->count(), Message::query()->count()]);
        $this->send($form);
        self::assertSame('alva@elsewhere.test', Person::query()->findOrFail(FormAnswer::query()->orderByDesc('id')->firstOrFail()->person_id ?? 0)->claimed_email);
        self::assertSame(['alva@elsewhere.test'], Message::query()->pluck('to')->all());
    }

    public function test_a_lead_gets_the_one_lesson_and_no_letter_before_the_address_is_shown_to_be_theirs(): void
    {
        $form = $this->form();
        $this->on(new When('form-sent', form: $form->id), new Only, new Step('hand-out', course: 'clinker', item: 'l-timber', days: 14), new Step('write', subject: 'Here is your lesson', body: 'x'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->flushSession();
        auth()->logout();
        $this->send($form);
        self::assertCount(1, $this->ran('2026-03-10T13:01:00Z'));
        $lead = Person::query()->where('claimed_email', 'alva@elsewhere.test')->sole();
        self::assertSame([1, 0], [Grant::query()->where('person_id', $lead->id)->count(), Message::query()->where('subject', 'Here is your lesson')->count()]);
        self::assertSame('They have not shown yet that the address is theirs: no letter is written there before.', TriggerRun::query()->sole()->problem);
        $this->post($this->linkTo('alva@elsewhere.test'))->assertRedirect();
        $this->get('/courses/clinker/l-timber')->assertOk()->assertInertia(fn ($page) => $page->component('learner/Lesson'));
        $this->get('/courses/clinker/l-planes')->assertForbidden()->assertInertia(fn ($page) => $page->component('learner/Notice')->has('offers.0'));
        $this->ran('2026-03-10T13:10:00Z');
        self::assertSame(['done', 1], [TriggerRun::query()->sole()->state, Message::query()->where('subject', 'Here is your lesson')->count()]);
    }

    public function test_what_was_given_to_who_turns_out_to_have_an_account_goes_there_with_its_runs(): void
    {
        $form = $this->form();
        $this->on(new When('form-sent', form: $form->id), new Only, new Step('give-label', label: 'lead'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        auth()->logout();
        $this->flushSession();
        $this->send($form);
        $this->ran('2026-03-10T13:01:00Z');
        // Meanwhile the school has brought in the same address.
        $this->actingAs($this->person('hege'))->post('/keep/people', ['name' => 'Alva Brekke', 'email' => 'alva@elsewhere.test', 'labels' => ''])->assertSessionHasNoErrors();
        auth()->logout();
        $this->flushSession();
        $links = array_values(array_filter(array_map(static fn (string $letter): string => preg_match('#(/sign-in/link/\w+)#', $letter, $found) === 1 ? $found[1] : '', iterator_to_array(app(\App\Standins\Mail\Postbox::class)->letters('alva@elsewhere.test'), preserve_keys: false))));
        $this->post(end($links) ?: '')->assertRedirect();
        $account = Person::query()->where('email', 'alva@elsewhere.test')->sole();
        self::assertSame([$account->id, $account->id], [TriggerRun::query()->sole()->person_id, FormAnswer::query()->sole()->person_id]);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'no name' => [['name' => ' '], 'name'],
            'no address' => [['email' => 'somewhere'], 'email'],
            'no consent' => [['consents' => false], 'consents'],
            'what has to be answered is not' => [['answers' => [' ', 'x']], 'answers.0'],
            'a list for an answer' => [['answers' => [['x']]], 'answers.0'],
            'much too long' => [['answers' => [str_repeat('x', 2001)]], 'answers.0'],
            'no page' => [['once' => 'x'], 'once'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_what_does_not_go_is_said_at_its_field(array $with, string $field): void
    {
        $this->send($this->form(), $with)->assertSessionHasErrors($field);
        self::assertSame(0, FormAnswer::query()->count());
    }

    public function test_a_program_that_fills_in_all_that_it_finds_is_told_the_same_and_nothing_is_kept(): void
    {
        $form = $this->form();
        $this->send($form, ['website' => 'https://elsewhere.test'])->assertRedirect("/forms/{$form->token}")->assertSessionHas('form-sent');
        self::assertSame(0, FormAnswer::query()->count());
    }

    public function test_the_same_page_sent_twice_is_kept_once_and_too_often_is_refused(): void
    {
        $form = $this->form();
        $once = (string) Str::uuid();
        $this->send($form, ['once' => $once]);
        $this->send($form, ['once' => $once])->assertRedirect();
        self::assertSame([1, 1], [FormAnswer::query()->count(), Message::query()->count()]);
        for ($time = 0; $time < 8; $time++) {
            $this->send($form);
        }
        $this->send($form)->assertTooManyRequests();
        RateLimiter::clear('form');
    }

    public function test_who_is_signed_in_is_asked_for_no_name(): void
    {
        $form = $this->form();
        $this->actingAs($this->person('jonas'));
        $this->get("/forms/{$form->token}")->assertInertia(fn ($page) => $page->where('asksWho', false));
        $this->send($form, ['name' => 'Somebody else', 'email' => 'eira@alder.test']);
        $answer = FormAnswer::query()->sole();
        self::assertSame(['Jonas Wren', 'jonas@alder.test', $this->person('jonas')->id], [$answer->name, $answer->email, $answer->person_id]);
    }

    public function test_one_that_is_off_is_not_there(): void
    {
        $form = $this->form();
        $form->update(['on' => false]);
        $this->get("/forms/{$form->token}")->assertNotFound();
        $this->send($form)->assertNotFound();
        $this->get('/forms/'.str_repeat('a', 20))->assertNotFound();
    }

    public function test_answers_are_listed_and_come_as_a_file_without_formulas(): void
    {
        $form = $this->form();
        $this->send($form, ['name' => '=HYPERLINK("x")', 'answers' => ['+1', 'Two, "quoted"']]);
        $this->actingAs($this->person('hege'));
        $this->get("/keep/triggers/forms?open={$form->id}")->assertInertia(fn ($page) => $page->where('forms.0.sent', 1)->where('answers.0.answers', ['Which boat? +1', 'Anything else? Two, "quoted"'])->where('answers.0.consents', true));
        $file = $this->get("/keep/triggers/forms/{$form->id}/answers.csv")->assertOk()->streamedContent();
        self::assertStringContainsString("name,email,consents,sent,\"Which boat?\",\"Anything else?\"\r\n", $file);
        self::assertStringContainsString("\"'=HYPERLINK(\"\"x\"\")\",alva@elsewhere.test,yes,2026-03-10T12:00:00+00:00,'+1,\"Two, \"\"quoted\"\"\"\r\n", $file);
        $this->actingAs($this->person('aksel'))->get("/keep/triggers/forms/{$form->id}/answers.csv")->assertForbidden();
        $this->get("/keep/triggers/forms?open={$form->id}")->assertOk()->assertInertia(fn ($page) => $page->where('answers', [])->where('mayEdit', false));
    }

    public function test_two_who_change_it_at_once_do_not_write_over_each_other(): void
    {
        $form = $this->form();
        $this->actingAs($this->person('hege'));
        $fields = ['version' => 1, 'name' => 'Second', 'on' => true, 'text' => '', 'consent' => '', 'questions' => [], 'thanks' => ''];
        $this->put("/keep/triggers/forms/{$form->id}", $fields)->assertSessionHas('flash.kind', 'done');
        $this->put("/keep/triggers/forms/{$form->id}", [...$fields, 'name' => 'Third'])->assertSessionHas('flash.kind', 'refused');
        $this->put("/keep/triggers/forms/{$form->id}", [...$fields, 'version' => 2, 'questions' => array_fill(0, 6, ['ask' => 'x', 'required' => true])])->assertSessionHasErrors('questions');
        self::assertSame(['Second', $form->token], [$form->refresh()->name, $form->token]);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Drafts;

use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class RuleEditsTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /**
     * @param  array<string, mixed>  $sent
     * @param  list<string>  $refusedAt
     */
    #[DataProvider('finishes')]
    public function test_how_a_lesson_is_finished(array $sent, ?string $kept, array $refusedAt = []): void
    {
        $answer = $this->edit(0, 'finish', ['l-rivets'], $sent);
        if ($refusedAt !== []) {
            $answer->assertSessionHasErrors($refusedAt);

            return;
        }
        $answer->assertSessionHasNoErrors();
        self::assertSame($kept, json_encode(($this->course()->draft()->exists() ? $this->item('l-rivets') : new \stdClass)->finish ?? null));
    }

    /** @return \Generator<string, list<mixed>> */
    public static function finishes(): \Generator
    {
        yield 'by a mark, as before' => [['by' => 'mark'], 'null'];
        yield 'by a visit' => [['by' => 'visit'], '{"by":"visit"}'];
        yield 'by watching' => [['by' => 'watch', 'percent' => 90], '{"by":"watch","share":0.9}'];
        yield 'by watching all' => [['by' => 'watch', 'percent' => 100], '{"by":"watch","share":1}'];
        yield 'by a quiz' => [['by' => 'quiz', 'percent' => 0], '{"by":"quiz","score":0}'];
        yield 'by watching nothing' => [['by' => 'watch', 'percent' => 0], null, ['percent']];
        yield 'by watching more than all' => [['by' => 'watch', 'percent' => 101], null, ['percent']];
        yield 'by a quiz without a score' => [['by' => 'quiz'], null, ['percent']];
        yield 'by hearsay' => [['by' => 'hearsay'], null, ['by']];
    }

    public function test_modules_are_not_finished_by_themselves(): void
    {
        $this->edit(0, 'finish', ['m-planks'], ['by' => 'visit']);

        self::assertSame('Only lessons and parts are finished by themselves; Hanging planks is neither.', session('flash')['text']);
    }

    /** @param  array<string, mixed>  $condition */
    #[DataProvider('conditions')]
    public function test_conditions_are_kept_and_read_back(array $condition, string $words): void
    {
        $this->edit(0, 'only', ['l-rivets'], ['value' => $condition])->assertSessionHasNoErrors();

        self::assertSame(json_encode($condition), json_encode($this->item('l-rivets')->only));
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('rules', fn ($rules): bool => in_array($words, $rules->pluck('onlyWords')->all(), true)));
        $this->postJson('/keep/courses/clinker/condition', ['only' => $condition])->assertExactJson(['words' => $words, 'errors' => []]);
    }

    /** @return \Generator<string, array{array<string, mixed>, string}> */
    public static function conditions(): \Generator
    {
        yield 'a label' => [['label' => 'cohort-a'], 'label cohort-a'];
        yield 'two of three' => [
            ['all' => [['any' => [['label' => 'a'], ['tier' => 'journeyman']]], ['not' => ['offer' => 'yard-trial']]]],
            '(label a or tier journeyman) and not by offer Yard trial',
        ];
        yield 'something finished' => [['done' => 'l-timber'], 'who finished Choosing larch'];
        yield 'nobody' => [['any' => []], 'nobody'];
        yield 'between two dates' => [['all' => [['from' => '2026-04-01T09:00'], ['until' => '2026-05-01T09:00']]], 'from Wed 1 Apr 2026, 09:00 and until Fri 1 May 2026, 09:00'];
    }

    public function test_a_bad_condition_is_refused_at_its_part(): void
    {
        $bad = ['all' => [['label' => 'a'], ['not' => ['tier' => 'admiral']], ['from' => '']]];
        $this->edit(0, 'only', ['l-rivets'], ['value' => $bad])->assertSessionHasErrors(['only.all.1.not.tier', 'only.all.2.from']);

        $errors = $this->postJson('/keep/courses/clinker/condition', ['only' => $bad])->json('errors');
        self::assertSame(['only.all.1.not.tier', 'only.all.2.from'], array_keys($errors));
        self::assertFalse($this->course()->draft()->exists());
    }

    public function test_a_label_that_was_never_typed_is_none(): void
    {
        $this->edit(0, 'only', ['l-rivets'], ['value' => ['all' => [['label' => ' '], ['not' => ['label' => '']]]]])->assertSessionHasErrors(['only.all.0.label', 'only.all.1.not.label']);
        $this->postJson('/keep/courses/clinker/condition', ['only' => ['label' => '']])->assertExactJson(['words' => 'label …', 'errors' => ['only.label' => 'Please type a label.']]);
    }

    public function test_a_condition_is_cleared(): void
    {
        $this->edit(0, 'only', ['l-bonus'], ['value' => null])->assertSessionHasNoErrors();

        self::assertObjectNotHasProperty('only', $this->item('l-bonus'));
    }

    public function test_never_for_an_audience_and_back(): void
    {
        $this->edit(0, 'guests', ['l-rivets'], ['value' => 'never']);
        $this->edit(1, 'observers', ['l-rivets'], ['value' => 'never']);
        self::assertSame(['guests', 'observers'], $this->item('l-rivets')->never_for);
        $this->edit(2, 'guests', ['l-rivets'], ['value' => 'yes']);
        self::assertSame([['observers'], true], [$this->item('l-rivets')->never_for, $this->item('l-rivets')->guests]);
        $this->edit(3, 'observers', ['l-rivets'], ['value' => 'as above']);
        self::assertObjectNotHasProperty('never_for', $this->item('l-rivets'));
        $this->edit(4, 'observers', ['l-rivets'], ['value' => 'sometimes'])->assertSessionHasErrors('value');
    }

    public function test_rules_are_pasted_on_many_rows_in_one_edit(): void
    {
        $this->edit(0, 'closes', ['l-bonus'], ['plan' => 'weekly', 'rule' => 'after_open', 'days' => 9]);
        $this->edit(1, 'rules', ['l-garboard', 'l-rivets'], ['from' => 'l-bonus']);

        $plans = $this->document()->raw()->plans;
        foreach (['l-garboard', 'l-rivets'] as $key) {
            self::assertEquals($this->item('l-bonus')->only, $this->item($key)->only);
            self::assertEquals($plans->weekly->{'l-bonus'}, $plans->weekly->{$key});
            self::assertNotSame('Bonus: building the oars', $this->item($key)->title);
        }
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 2]);
        self::assertObjectNotHasProperty('only', $this->item('l-garboard'));
    }

    public function test_pasting_clears_what_the_copied_row_does_not_have(): void
    {
        $this->edit(0, 'sample', ['l-garboard'], ['value' => 'yes']);
        $this->edit(1, 'finish', ['l-garboard'], ['by' => 'visit']);
        $this->edit(2, 'rules', ['l-garboard'], ['from' => 'm-start']);

        self::assertObjectNotHasProperty('sample', $this->item('l-garboard'));
        // A module says nothing of how a lesson is finished.
        self::assertSame('visit', $this->item('l-garboard')->finish->by);
    }

    public function test_rules_that_would_make_a_row_wait_for_itself_are_not_pasted(): void
    {
        $this->edit(0, 'rules', ['l-timber', 'm-tools'], ['from' => 'm-planks']);

        self::assertSame('Hanging planks waits for Tools and timber; Choosing larch cannot, so these rules do not fit it. Nothing was pasted.', session('flash')['text']);
        self::assertFalse($this->course()->draft()->exists() && $this->draft()->version > 0);
    }

    /**
     * @param  list<string>  $items
     * @param  list<string>  $order  of what the target stands in, or of what is inside it
     */
    #[DataProvider('places')]
    public function test_rows_are_put_elsewhere_together(array $items, string $target, string $where, string $container, array $order): void
    {
        $this->outline(0, ['do' => 'place', 'items' => $items, 'target' => $target, 'where' => $where]);

        $inside = $container === '' ? $this->document()->raw()->items : $this->item($container)->items;
        self::assertSame($order, array_slice(array_column($inside, 'key'), 0, count($order)));
    }

    /** @return \Generator<string, list<mixed>> */
    public static function places(): \Generator
    {
        yield 'before' => [['l-rivets'], 'l-garboard', 'before', 'm-planks', ['l-rivets', 'l-garboard']];
        yield 'after, in another module' => [['l-garboard'], 'l-timber', 'after', 'm-tools', ['l-planes', 'l-timber', 'l-garboard']];
        yield 'inside' => [['l-timber', 'l-steam'], 'm-planks', 'inside', 'm-planks', ['l-garboard', 'l-rivets', 'l-timber', 'l-steam']];
        yield 'a module at the top' => [['m-planks'], 'b-news', 'before', '', ['m-planks']];
        yield 'a module with what is inside it' => [['m-planks', 'l-rivets'], 'm-start', 'inside', 'm-planks', ['l-garboard', 'l-rivets']];
    }

    public function test_nothing_is_put_into_itself_or_where_it_does_not_belong(): void
    {
        $this->outline(0, ['do' => 'place', 'items' => ['m-planks'], 'target' => 'l-rivets', 'where' => 'after']);
        self::assertSame('Hanging planks cannot move into itself.', session('flash')['text']);
        $this->outline(0, ['do' => 'place', 'items' => ['m-planks'], 'target' => 'l-timber', 'where' => 'inside']);
        self::assertStringStartsWith('That does not go', session('flash')['text']);
        $this->outline(0, ['do' => 'place', 'items' => ['l-gone'], 'target' => 'l-timber', 'where' => 'after']);
        self::assertStringContainsString('has no item l-gone', session('flash')['text']);
        self::assertSame(0, $this->course()->draft->version ?? 0);
    }

    public function test_the_pass_phrase_of_the_guest_door_is_kept_in_the_draft_and_told_to_no_assistant(): void
    {
        $form = ['version' => 0, 'title' => 'Clinker planking', 'state' => 'live', 'entry' => 'offer', 'keepAfterRetiring' => true, 'sampleNeedsAccount' => false, 'inOrder' => false,
            'guestsOpen' => true, 'guestsDefault' => false, 'observersOpen' => true, 'observersDefault' => true, 'observersFollow' => true, 'tiers' => 'apprentice, journeyman'];
        $this->post('/keep/courses/clinker/draft/course', [...$form, 'guestPhrase' => 'tar'])->assertSessionHasErrors('guestPhrase');
        $this->post('/keep/courses/clinker/draft/course', [...$form, 'guestPhrase' => 'tar and oakum'])->assertSessionHasNoErrors();

        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('settings.guestPhrase', 'tar and oakum')
            ->where('changes.0.segments.0.text', 'The guest door asks for a pass phrase'));
        foreach (['aksel' => '/keep/courses/clinker', 'eira' => '/courses/clinker'] as $person => $address) {
            self::assertStringNotContainsString('tar and oakum', (string) $this->actingAs($this->person($person))->get($address)->assertOk()->getContent());
        }
    }
}

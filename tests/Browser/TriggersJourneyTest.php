<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** What is done by itself, from both sides. */
final class TriggersJourneyTest extends BrowserTestCase
{
    public function test_a_finished_module_hands_out_a_surprise_lesson_and_it_is_taken_back(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/triggers');
        $this->named('New trigger')->click();
        $this->named('Name')->sendKeys('A surprise');
        // By keyboard: the course, its row, then what is to be done.
        $this->choose('Course', 'Clinker');
        $this->choose('Row', 'Welcome to the shed');
        $this->choose('Add a step', 'hand out');
        $this->waitForText('.steps', 'hand out a row');
        $this->choose('Course', 'Clinker', within: '.steps');
        $this->choose('Row', 'Launch day', within: '.steps');
        $this->waitForText('.tried', 'When Welcome to the shed is finished, hand out Launch day for good.');
        // From a word of the sentence to where it is set.
        $this->find('.tried button[type="button"]')->click();
        $this->waitForFocus('[data-field="when.item"]');
        $this->choose('Try it on somebody', 'Tuva Myhre');
        $this->waitForText('.tried', 'Hand Launch day out: get it for good');
        $this->named('Make it')->click();
        $this->waitForText('.flash', 'It is made, and off.');
        $this->named('Switch it on')->click();
        $this->waitForText('.flash', 'It is on.');

        // A minute on; what came about before is not looked at.
        $this->signIn('tuva');
        $this->visit('/courses/clinker/l-welcome');
        $this->named('Mark as finished')->click();
        $this->waitForText('.lesson', 'Finished');
        self::artisan('keep:run-triggers');
        self::artisan('queue:work', '--stop-when-empty');
        $this->visit('/courses/clinker/l-launch');
        $this->waitForText('.lesson h1', 'Launch day');

        $this->signIn('hege');
        $this->visit('/keep/triggers');
        $this->find('a[aria-label$="A surprise"]')->click();
        $this->waitForText('.runs', 'finished Welcome to the shed');
        $this->named('Take it back')->click();
        $this->waitForText('.flash', 'Taken back');
        $this->signIn('tuva');
        $this->visit('/courses/clinker/l-launch');
        $this->find('.notice h1');
        $this->assertNoScriptErrors();
    }

    public function test_a_lead_fills_in_the_form_gets_the_letter_signs_in_and_sees_the_one_lesson_and_at_the_next_the_offer(): void
    {
        // A day after the demo was loaded, from which on its triggers are on.
        self::moveTheClock(1);
        $this->asNobody();
        $this->visit('/forms/'.self::value("select token from forms where name = 'A first look'"));
        $this->waitForText('h1', 'A first look');
        $this->named('Your name')->sendKeys('Alva Brekke');
        $this->named('Your e-mail address')->sendKeys('alva@elsewhere.test');
        $this->named('Send')->click();
        $this->waitForText('form', 'Please say that you agree.');
        $this->named('You may write to me about courses.')->click();
        $this->named('Which boat would you like to build?')->sendKeys('A faering');
        $this->named('Send')->click();
        $this->waitForText('[role=status]', 'It is sent.');

        self::artisan('queue:work', '--stop-when-empty');
        self::artisan('keep:run-triggers');
        self::artisan('queue:work', '--stop-when-empty');
        self::assertSame(1, preg_match('#https?://[^/\s]+(/sign-in/link/\w+)#', self::artisan('keep:letters', 'alva@elsewhere.test'), $found));
        $this->visit($found[1] ?? '');
        $this->find('.errorpage button')->click();
        $this->waitForText('.ltop', 'Alva Brekke');
        $this->visit('/courses/clinker/l-timber');
        $this->waitForText('.lesson h1', 'Choosing larch');
        $this->visit('/courses/clinker/l-planes');
        $this->waitForText('.notice h1', 'Tuning a plane needs a pass');
        $this->waitForText('.notice', 'Apprentice pass');
        $this->assertNoScriptErrors();
    }

    public function test_a_band_of_a_quiz_gives_the_harder_lesson(): void
    {
        $this->signIn('hege');
        $this->visit('/keep/triggers');
        $this->named('New trigger')->click();
        $this->named('Name')->sendKeys('Oak for the quick');
        $this->find('input[aria-label="When"]')->click();
        $this->browser->findElement(WebDriverBy::xpath("//*[@role='option'][normalize-space(.)='a quiz comes to a score']"))->click();
        $this->choose('Course', 'Clinker');
        $this->choose('Row', 'Choosing larch');
        $this->named('From %')->sendKeys('60');
        $this->choose('Add a step', 'hand out');
        $this->waitForText('.steps', 'hand out a row');
        $this->choose('Course', 'Clinker', within: '.steps');
        $this->choose('Row', 'Reading grain in oak', within: '.steps');
        $this->waitForText('.tried', 'When the quiz of Choosing larch comes to 60 % or more, hand out Reading grain in oak for good.');
        $this->named('Make it')->click();
        $this->waitForText('.flash', 'It is made, and off.');
        $this->named('Switch it on')->click();
        $this->waitForText('.flash', 'It is on.');

        $this->signIn('eira');
        $this->visit('/courses/clinker/l-planes');
        $this->named('Mark as finished')->click();
        $this->waitForText('.did', 'Finished');
        $this->visit('/courses/clinker/l-advanced');
        $this->find('.notice h1');
        $this->visit('/courses/clinker/l-timber');
        $this->waitForText('.quiz', '70 % finish the lesson');
        $this->browser->executeScript('document.querySelector("[class*=_question_] input").focus()');
        foreach ([Keys::SPACE, Keys::TAB, Keys::SPACE, Keys::TAB, Keys::SPACE, Keys::TAB, Keys::SPACE, Keys::TAB, Keys::TAB, Keys::ENTER] as $key) {
            $this->browser->switchTo()->activeElement()->sendKeys($key);
            $this->waitForStillness();
        }
        $this->waitForText('.quiz [role=status]', '66 % right');
        self::artisan('keep:run-triggers');
        self::artisan('queue:work', '--stop-when-empty');
        $this->visit('/courses/clinker/l-advanced');
        $this->waitForText('.lesson h1', 'Reading grain in oak');
        $this->assertNoScriptErrors();
    }

    public function test_a_purchase_gives_a_label_that_shows_the_bonus_and_its_refund_hides_it(): void
    {
        $this->signIn('hege');
        foreach (['Oars with frames' => ['an offer is taken', 'give a label'], 'Oars back' => ['it is refunded', 'take a label']] as $name => [$event, $step]) {
            $this->visit('/keep/triggers');
            $this->named('New trigger')->click();
            $this->named('Name')->sendKeys($name);
            $this->find('input[aria-label="When"]')->click();
            $this->browser->findElement(WebDriverBy::xpath("//*[@role='option'][normalize-space(.)='{$event}']"))->click();
            $this->choose('Offer', 'Frames pass');
            $this->choose('Add a step', $step);
            $this->waitForText('.steps', $step);
            $this->choose('Label', 'oar-bonus', within: '.steps');
            $this->waitForText('.tried', 'the label oar-bonus.');
            $this->named('Make it')->click();
            $this->waitForText('.flash', 'It is made, and off.');
            $this->named('Switch it on')->click();
            $this->waitForText('.flash', 'It is on.');
        }
        $this->signIn('eskil');
        $this->visit('/courses/clinker/l-bonus');
        $this->waitForText('.errorpage', 'nothing');
        $this->visit('/checkout/frames-pass');
        $this->named('Buy it for')->click();
        $this->waitForText('.flash', 'You hold Frames pass now.');
        self::artisan('keep:run-triggers');
        self::artisan('queue:work', '--stop-when-empty');
        $this->visit('/courses/clinker/l-bonus');
        $this->waitForText('.lesson h1', 'Bonus: building the oars');
        $this->signIn('hege');
        $this->visit('/keep/outbox/shop');
        $this->named('Refund')->click();
        $this->waitForText('.flash', 'was withdrawn');
        self::artisan('keep:run-triggers');
        self::artisan('queue:work', '--stop-when-empty');
        $this->signIn('eskil');
        $this->visit('/courses/clinker/l-bonus');
        $this->waitForText('.errorpage', 'nothing');
        $this->assertNoScriptErrors();
    }

    /** The first option that these words find. */
    private function choose(string $label, string $words, string $within = ''): void
    {
        $this->browser->executeScript('[...document.querySelectorAll(`${arguments[1]} label`)].find((one) => one.textContent.trim() === arguments[0]).control.focus()', [$label, self::css($within === '' ? 'form' : $within)]);
        $this->type($words);
        $this->browser->wait(90, 100)->until(fn (): bool => $this->browser->executeScript('return [...document.querySelectorAll("[role=option]")].some((one) => one.checkVisibility() && one.textContent.includes(arguments[0]))', [$words]) === true, "{$words} did not come up");
        $this->type(Keys::ARROW_DOWN.Keys::ENTER);
        $this->waitForStillness();
    }
}
